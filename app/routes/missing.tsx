import { data } from "react-router";
import { Failure } from "../frame/failure.tsx";
import type { Route } from "./+types/missing.ts";

export function loader() {
  throw data("This address leads nowhere in Firm Arbor.", { status: 404 });
}

export default function Missing() {
  return null;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Your jobs are saved on the bench." />;
}

import { lazy, Suspense, useState } from "react";
import { useDone } from "../instruments/done.ts";

// Where a newer app has taken its place the page says so; it takes nothing of this page with it.
const Toaster = lazy(() => import("./toaster.tsx").catch(() => ({ default: () => <></> })));

/** What was just done, with its undo; loaded when there is something to say. */
export function Toasts() {
  const waiting = useDone().length > 0;
  const [begun, setBegun] = useState(false);
  if (waiting && !begun) setBegun(true);
  return begun ? (
    <Suspense>
      <Toaster />
    </Suspense>
  ) : null;
}

import { Link } from "react-router";
import { shopListWords } from "../../core/shop/index.ts";
import { useJob } from "./job-context.tsx";
import { Notice } from "./notice.tsx";

/** Says so when a list of the person's shop is empty and the demo shop's stands in: nothing is proposed silently. */
export function StandIns() {
  const { standIns } = useJob();
  if (standIns.length === 0) return null;
  const lists = standIns.map((list) => shopListWords[list].many.toLowerCase()).join(", ");
  return (
    <Notice severity="note">
      None of your own {lists} are entered yet: the plan uses the demo shop's.{" "}
      <Link to="/shop" style={{ textDecoration: "underline" }}>
        Enter yours in the shop
      </Link>
      .
    </Notice>
  );
}

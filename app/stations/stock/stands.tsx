import type { Face } from "../../../core/frame/index.ts";
import type { Standing } from "../../../core/stock/index.ts";
import { Check } from "../../instruments/check.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";

const standing: Record<Standing, string> = {
  "by itself": "stands by itself",
  "angle plate": "angle plate behind it",
  weight: "weight on top of it",
};

/** What keeps it from tipping while it is scribed, ticked once it was seen to. */
export function Stands({ face, how }: { face: Face; how: Standing }) {
  const { job } = useJob();
  const submit = useSubmit();
  const { stands } = job.stock;
  return (
    <Check
      checked={stands.includes(face)}
      onCheck={(on) =>
        void submit.set("stock/stands", on ? [...stands, face] : stands.filter((f) => f !== face))
      }
    >
      {standing[how]}
    </Check>
  );
}

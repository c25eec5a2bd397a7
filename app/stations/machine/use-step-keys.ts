import { useState } from "react";
import { useNavigate } from "react-router";
import type { Step } from "../../../core/steps/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { cutPath } from "../../instruments/job-paths.ts";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useSingleKeys } from "../../instruments/local-setting.ts";
import type { useWalk } from "./use-walk.ts";

/**
 * What a step has open, and its keys: the reading pad asked for between measurements with what an instrument sent into it, and
 * the sheet of what is wrong.
 * @param act does what the step asks for
 */
export function useStepKeys(step: Step, walk: ReturnType<typeof useWalk>, act: () => void) {
  const { job } = useJob();
  const navigate = useNavigate();
  const [single] = useSingleKeys();
  const [wrong, setWrong] = useState(false);
  const [sent, setSent] = useState("");
  const [extraPad, setExtraPad] = useState(false);
  useKeyboard(
    {
      j: ["next, previous step", () => walk.move(1)],
      k: ["next, previous step", () => walk.move(-1)],
      " ": ["tick the next point, or cut done", act],
      m: ["take a reading", () => setExtraPad(true)],
      o: ["own depth per pass", () => void navigate(cutPath(job.id, step.op), { state: { own: true } })],
      Escape: [
        "close what is open",
        () => {
          setWrong(false);
          setExtraPad(false);
        },
      ],
    },
    {
      single: single === "on",
      onInstrument: (text) => {
        setSent(text);
        setExtraPad(true);
      },
    },
  );
  return {
    wrong,
    setWrong,
    extraPad,
    setExtraPad,
    /** What an instrument sent, until it is kept as a reading. */
    sent,
    clearSent: () => setSent(""),
  };
}

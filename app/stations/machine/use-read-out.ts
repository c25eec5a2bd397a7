import { useEffect } from "react";
import type { Machine } from "../../../core/shop/index.ts";
import { aloud, heard, type Step } from "../../../core/steps/index.ts";
import { useReadOut, useUnit } from "../../instruments/local-setting.ts";

/** Whether this browser can speak. */
export const canReadOut = (): boolean => "speechSynthesis" in globalThis;

/** Reads out what is to be done now, once a press, where the person wants it; what was being said stops. */
export function useReadAloud(steps: readonly Step[], machine: Machine): void {
  const [on] = useReadOut();
  const [unit] = useUnit();
  const text = on === "on" ? steps.map((step) => aloud(step, unit, machine)).join(" ") : "";
  useEffect(() => {
    if (text === "" || !canReadOut()) return;
    speechSynthesis.cancel();
    speechSynthesis.speak(new SpeechSynthesisUtterance(text));
    return () => speechSynthesis.cancel();
  }, [text]);
}

/** Says a reading back as it was taken, where the person wants things read out: a wrong digit is heard. */
export function useSayBack(): (text: string) => void {
  const [on] = useReadOut();
  return (text) => {
    if (on === "on" && canReadOut()) speechSynthesis.speak(new SpeechSynthesisUtterance(heard(text)));
  };
}

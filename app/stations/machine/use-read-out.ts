import { useEffect } from "react";
import { aloud, heard, type Step } from "../../../core/steps/index.ts";
import { useReadOut, useUnit } from "../../instruments/local-setting.ts";

/** Whether this browser can speak. */
export const canReadOut = (): boolean => "speechSynthesis" in globalThis;

/** Reads out what is to be done now, once a step, where the person wants it; what was being said stops. */
export function useReadAloud(step: Step | null): void {
  const [on] = useReadOut();
  const [unit] = useUnit();
  const text = step && on === "on" ? aloud(step, unit) : null;
  useEffect(() => {
    if (text === null || !canReadOut()) return;
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

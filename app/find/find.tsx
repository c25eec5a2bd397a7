import { lazy, Suspense } from "react";
import { useKeyboard } from "../instruments/keyboard.ts";
import { useSingleKeys } from "../instruments/local-setting.ts";
import { setFinding, useFinding } from "./find-state.ts";

const FindDialog = lazy(() => import("./find-dialog.tsx"));

/** Find, on every page: its key, and the dialog once it is asked for. */
export function Find() {
  const finding = useFinding();
  const [single] = useSingleKeys();
  useKeyboard(
    { "/": () => setFinding(true), "Ctrl+k": () => setFinding(true) },
    { single: single === "on", onInstrument: () => undefined },
  );
  return finding ? (
    <Suspense>
      <FindDialog />
    </Suspense>
  ) : null;
}

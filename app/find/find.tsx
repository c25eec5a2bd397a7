import { lazy, Suspense } from "react";
import { useKeyboard } from "../instruments/keyboard.ts";
import { useSingleKeys } from "../instruments/local-setting.ts";
import { setFinding, useFinding } from "./find-state.ts";

// Where a newer app has taken its place the page says so; it takes nothing of this page with it.
const FindDialog = lazy(() => import("./find-dialog.tsx").catch(() => ({ default: () => <></> })));

/** Find, on every page: its key, and the dialog once it is asked for. */
export function Find() {
  const finding = useFinding();
  const [single] = useSingleKeys();
  useKeyboard(
    {
      "/": ["find anything by a few letters", () => setFinding(true)],
      "Ctrl+k": ["find anything by a few letters", () => setFinding(true)],
    },
    { single: single === "on", onInstrument: () => undefined },
  );
  return finding ? (
    <Suspense>
      <FindDialog />
    </Suspense>
  ) : null;
}

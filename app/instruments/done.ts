import { useSyncExternalStore } from "react";

/** Something that was removed or put away, said at the foot of the page with its undo. */
export interface Done {
  text: string;
  undo: () => void;
}

const none: readonly Done[] = [];
let waiting = none;
const listeners = new Set<() => void>();

const put = (next: readonly Done[]): void => {
  waiting = next;
  listeners.forEach((listener) => listener());
};

/** Says what was done, with its undo, for some seconds. */
export const sayDone = (text: string, undo: () => void): void => put([...waiting, { text, undo }]);

/** Takes what is still to be said, so that it is said once. */
export function takeDone(): readonly Done[] {
  const taken = waiting;
  if (taken.length > 0) put(none);
  return taken;
}

/** What is still to be said. */
export const useDone = (): readonly Done[] =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => waiting,
    () => none,
  );

import { useSyncExternalStore } from "react";

/** Something that can be found: what it is called, what it is, and where it stands. */
export interface Place {
  name: string;
  kind: string;
  /** Other words it may be looked for by. */
  also?: string;
  to: string;
}

/** What the open job has to find, told when it is asked for; nothing outside a job. */
let ofJob: (() => Place[]) | null = null;
let open = false;
const listeners = new Set<() => void>();
const tell = () => listeners.forEach((listener) => listener());

/** Lets the open job's own places be found. @returns how to take that back */
export function offerPlaces(places: () => Place[]): () => void {
  ofJob = places;
  return () => {
    if (ofJob === places) ofJob = null;
  };
}

export const placesOfJob = (): Place[] => ofJob?.() ?? [];

export function setFinding(now: boolean): void {
  open = now;
  tell();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Whether Find is open. */
export const useFinding = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => open,
    () => false,
  );

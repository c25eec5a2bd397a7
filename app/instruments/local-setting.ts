import { useSyncExternalStore } from "react";
import { type ProjectionAngle, projectionAngles } from "../../core/figure/index.ts";
import type { LengthUnit } from "../../core/quantity/index.ts";

/** Settings needed before anything is loaded live in localStorage; every use of one is told when it changes. */
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  addEventListener("storage", listener);
  return () => {
    listeners.delete(listener);
    removeEventListener("storage", listener);
  };
}

/** Where a browser lets nothing be stored a setting holds until the page is left. */
const unstored = new Map<string, string>();

function readSetting(key: string): string | null {
  try {
    return localStorage.getItem(key) ?? unstored.get(key) ?? null;
  } catch {
    return unstored.get(key) ?? null;
  }
}

function writeSetting(key: string, value: string): void {
  unstored.set(key, value);
  try {
    localStorage.setItem(key, value);
  } catch {
    // Full or blocked: it holds for this page.
  }
}

function useSetting<T extends string>(
  key: string,
  values: readonly T[],
  byDefault: T,
): [T, (value: T) => void] {
  const value = useSyncExternalStore(
    subscribe,
    () => {
      const stored = readSetting(key) as T | null;
      return stored !== null && values.includes(stored) ? stored : byDefault;
    },
    () => byDefault,
  );
  const set = (next: T) => {
    writeSetting(key, next);
    listeners.forEach((listener) => listener());
  };
  return [value, set];
}

/** Display unit: what is typed without a unit is in it too. Switching it changes what is shown, nothing else. */
export const useUnit = (): [LengthUnit, (unit: LengthUnit) => void] =>
  useSetting("firm-arbor:unit", ["mm", "in"], "mm");

/** Ground at the machine: the dark "shop" unless the person wants paper. */
export const useMachineTheme = () => useSetting("firm-arbor:machine-theme", ["shop", "paper"], "shop");

/** Light or dark at the desk; read before the page is drawn too. */
export const deskThemeKey = "firm-arbor:theme";
export const useDeskTheme = () => useSetting(deskThemeKey, ["paper", "shop"], "paper");

/** Which way the views of a drawing sheet are folded out. */
export const useAngle = () => useSetting<ProjectionAngle>("firm-arbor:angle", projectionAngles, "third");

/** Whether the places of every feature are dimensioned on the sheet, or those of the open one only. */
export const useDimensioned = () => useSetting("firm-arbor:dimensioned", ["on", "off"], "on");

/** How steps are told at the machine: every one, or folded as a practiced person does them. */
export const useTelling = () => useSetting("firm-arbor:telling", ["full", "brief"], "full");

/** At which side the buttons lie at the machine; the drawing stands at the other. */
export const useButtonSide = () => useSetting("firm-arbor:button-side", ["left", "right"], "left");

/** Whether what is to be done now is read out at the machine. */
export const useReadOut = () => useSetting("firm-arbor:read-out", ["off", "on"], "off");

/** Whether lengths and feeds at the machine are told in the other unit too. */
export const useBothUnits = () => useSetting("firm-arbor:both-units", ["off", "on"], "off");

/** Whether single keys act. */
export const useSingleKeys = () => useSetting("firm-arbor:single-keys", ["on", "off"], "on");

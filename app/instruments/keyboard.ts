import { useEffect, useEffectEvent, useRef } from "react";
import { deliberatePress } from "./deliberate-press.ts";

/** Digits that come this close together come from an instrument that types, ms. */
const burstGap = 30;

/** What a key does, in words and in deed. */
export type KeyActions = { [key: string]: [what: string, act: () => void] };

/** Keys that act at this moment, newest layer first. */
const layers: (() => KeyActions)[] = [];

/** All keys that act here and now, those that do the same together. */
export function keysHere(): { keys: string[]; what: string }[] {
  const found = new Map<string, string[]>();
  for (const layer of layers)
    for (const [key, [what]] of Object.entries(layer())) found.set(what, [...(found.get(what) ?? []), key]);
  return [...found].map(([what, keys]) => ({ keys, what }));
}

/** A box or a choice that is ticked takes Space and the arrows, and nothing that is typed. */
const isTicked = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && /^(radio|checkbox)$/.test(target.type);

const isField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  !isTicked(target) &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Behind an open dialog or menu no key acts: it hears them itself. */
const dialogOpen = (): boolean =>
  document.querySelector('dialog[open], :is([role="dialog"], [role="menu"])[data-state="open"]') !== null;

/**
 * Single keys of a view. They act only when no field has focus and can be switched off; keys with Ctrl always act.
 * Digits within 30 ms of each other ending in Enter come from an instrument: they go to `onInstrument`, not to the keys.
 * Space cuts and ticks: it acts when it is let go after a short press, never while it is held, and not twice at a double press;
 * a button that has focus gets no more of a held Enter either. Times are those of the keys, not of when a busy page comes to them.
 */
export function useKeyboard(
  actions: KeyActions,
  options: { single: boolean; onInstrument: (text: string) => void },
): void {
  const act = useEffectEvent((key: string) => actions[key]?.[1]());
  const has = useEffectEvent((key: string) => key in actions);
  const instrument = useEffectEvent((text: string) => options.onInstrument(text));
  // Who lists them reads while it is painted, where nothing may be called that belongs to an effect.
  const listed = useRef(actions);
  useEffect(() => {
    listed.current = actions;
  });
  const { single } = options;
  useEffect(() => {
    const layer = () => listed.current;
    layers.unshift(layer);
    return () => void layers.splice(layers.indexOf(layer), 1);
  }, []);
  useEffect(() => {
    let burst = "";
    let lastAt = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const space = deliberatePress();
    const settle = () => {
      // A lone digit is a key; a longer burst without Enter is nobody's.
      if (burst.length === 1 && single) act(burst);
      burst = "";
    };
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || dialogOpen()) return;
      if (event.ctrlKey || event.metaKey) {
        const key = `Ctrl+${event.shiftKey ? "Shift+" : ""}${event.key.toLowerCase()}`;
        if (has(key) && !isField(event.target)) {
          event.preventDefault();
          act(key);
        }
        return;
      }
      if (event.altKey || isField(event.target)) return;
      const now = event.timeStamp;
      if (/^[\d.,-]$/.test(event.key)) {
        clearTimeout(timer);
        burst = now - lastAt <= burstGap ? burst + event.key : event.key;
        lastAt = now;
        timer = setTimeout(settle, burstGap + 10);
        return;
      }
      if (event.key === "Enter" && burst.length > 1 && now - lastAt <= burstGap) {
        clearTimeout(timer);
        event.preventDefault();
        instrument(burst);
        burst = "";
        return;
      }
      const onControl =
        isTicked(event.target) ||
        (event.target instanceof HTMLElement && /^(BUTTON|A|SUMMARY)$/.test(event.target.tagName));
      if (event.key === "Enter" && event.repeat && onControl && has(" ")) event.preventDefault();
      if (!single || (event.key === " " && onControl) || !has(event.key)) return;
      event.preventDefault();
      if (event.key === " ") space.down(now, event.repeat);
      else act(event.key);
    };
    const onRelease = (event: KeyboardEvent) => {
      if (event.key === " " && space.up(event.timeStamp) && single && !dialogOpen()) act(" ");
    };
    addEventListener("keydown", onKey);
    addEventListener("keyup", onRelease);
    const onBlur = () => space.forget();
    addEventListener("blur", onBlur);
    return () => {
      clearTimeout(timer);
      removeEventListener("keydown", onKey);
      removeEventListener("keyup", onRelease);
      removeEventListener("blur", onBlur);
    };
  }, [single]);
}

import { useEffect, useEffectEvent } from "react";

/** Digits that come this close together come from an instrument that types, ms. */
const burstGap = 30;

export type KeyActions = { [key: string]: () => void };

const isField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/**
 * Single keys of a view. They act only when no field has focus and can be switched off; keys with Ctrl always act.
 * Digits within 30 ms of each other ending in Enter come from an instrument: they go to `onInstrument`, not to the keys.
 */
export function useKeyboard(
  actions: KeyActions,
  options: { single: boolean; onInstrument: (text: string) => void },
): void {
  const act = useEffectEvent((key: string) => actions[key]?.());
  const has = useEffectEvent((key: string) => key in actions);
  const instrument = useEffectEvent((text: string) => options.onInstrument(text));
  const { single } = options;
  useEffect(() => {
    let burst = "";
    let lastAt = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const settle = () => {
      // A lone digit is a key; a longer burst without Enter is nobody's.
      if (burst.length === 1 && single) act(burst);
      burst = "";
    };
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return;
      if (event.ctrlKey || event.metaKey) {
        const key = `Ctrl+${event.shiftKey ? "Shift+" : ""}${event.key.toLowerCase()}`;
        if (has(key) && !isField(event.target)) {
          event.preventDefault();
          act(key);
        }
        return;
      }
      if (event.altKey || isField(event.target)) return;
      const now = performance.now();
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
        event.target instanceof HTMLElement && /^(BUTTON|A|SUMMARY)$/.test(event.target.tagName);
      if (!single || (event.key === " " && onControl) || !has(event.key)) return;
      event.preventDefault();
      act(event.key);
    };
    addEventListener("keydown", onKey);
    return () => {
      clearTimeout(timer);
      removeEventListener("keydown", onKey);
    };
  }, [single]);
}

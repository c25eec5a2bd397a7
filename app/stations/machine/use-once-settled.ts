import { useEffect, useState } from "react";

/**
 * Does what is asked, once nothing is being saved or planned: a press right after another is not lost. It is forgotten where
 * something else (`of`) stands there by then.
 */
export function useOnceSettled(of: string, settling: boolean, act: () => void) {
  const [asked, setAsked] = useState<string | null>(null);
  useEffect(() => {
    if (asked === null || settling) return;
    queueMicrotask(() => {
      setAsked(null);
      if (asked === of) act();
    });
  }, [asked, of, settling, act]);
  return { waits: asked !== null, ask: () => (settling ? setAsked(of) : act()) };
}

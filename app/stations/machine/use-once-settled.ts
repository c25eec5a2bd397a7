import { useEffect, useRef } from "react";

/**
 * Does what is asked, once nothing is being saved or planned: an Enter right after another is not lost. It is forgotten where
 * something else (`of`) stands there by then.
 */
export function useOnceSettled(of: string, settling: boolean, act: () => void): () => void {
  const asked = useRef<string | null>(null);
  useEffect(() => {
    if (settling || asked.current === null) return;
    const still = asked.current === of;
    asked.current = null;
    if (still) act();
  });
  return () => {
    if (settling) asked.current = of;
    else act();
  };
}

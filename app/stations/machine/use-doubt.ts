import { useEffect, useRef, useState } from "react";

/** A cut called done in less than this share of the least time it takes was perhaps not cut. */
const tooQuick = 1 / 3;

export interface Doubt {
  /** The cut is doubted: the next press says that it was really cut. */
  open: boolean;
  /** A press on "cut done". @returns whether it is to be asked first */
  ask: () => boolean;
  /** It was not cut yet: the time begins anew. */
  notYet: () => void;
}

/**
 * Asks once whether a cut was really made, where it is called done sooner than anybody can make it.
 * @param of what is to be cut now
 * @param least the least time it takes, ms; 0 where nothing is cut
 */
export function useDoubt(of: string, least: number): Doubt {
  const since = useRef(0);
  const [doubted, setDoubted] = useState<string | null>(null);
  useEffect(() => {
    since.current = performance.now();
  }, [of]);
  return {
    open: doubted === of,
    ask: () => {
      if (doubted === of || performance.now() - since.current >= least * tooQuick) return false;
      setDoubted(of);
      return true;
    },
    notYet: () => {
      since.current = performance.now();
      setDoubted(null);
    },
  };
}

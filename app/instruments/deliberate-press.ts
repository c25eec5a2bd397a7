/** A press held longer than this is a thing lying on the key, ms. */
const longestPress = 600;
/** Presses closer together than this are one press that was doubled, ms. */
export const doubledWithin = 350;

/**
 * Tells a press that is meant from a key that is held or bounces: what it sets off may be a cut. It counts when it is let go
 * again soon, and when the press before it is long enough ago.
 */
export function deliberatePress() {
  let downAt: number | null = null;
  let lastAt = -Infinity;
  return {
    /** The key goes down; what the keyboard repeats while it is held is no second press. */
    down(now: number, repeat: boolean): void {
      if (!repeat && downAt === null) downAt = now;
    },
    /** The key comes up. @returns whether the press counts */
    up(now: number): boolean {
      const since = downAt;
      downAt = null;
      if (since === null) return false;
      const meant = now - since <= longestPress && since - lastAt >= doubledWithin;
      lastAt = now;
      return meant;
    },
    /** Forgets a key that went down elsewhere. */
    forget(): void {
      downAt = null;
    },
  };
}

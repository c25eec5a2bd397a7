import { useState } from "react";
import { sharing } from "../../core/job/index.ts";

/** The value, all that did not change of it the very same thing as before: who shows its parts paints only what is new. */
export function useSharing<T>(value: T): T {
  const [share] = useState(sharer<T>);
  return share(value);
}

/** Remembers what it gave last. What it gives equals what it got, so that asking again, or in vain, changes nothing. */
function sharer<T>(): (value: T) => T {
  let last: { of: T } | null = null;
  return (value) => {
    last = { of: last ? sharing(last.of, value) : value };
    return last.of;
  };
}

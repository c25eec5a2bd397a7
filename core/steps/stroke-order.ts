import type { MmPerMin } from "../quantity/index.ts";
import type { Stroke } from "../recipes/index.ts";

/** The first feed along one axis at a depth: there the other axes are locked. */
export const isFirstFeed = (all: readonly Stroke[], i: number): boolean =>
  fedAlong(all[i]!) && !(i > 0 && all[i - 1]!.kind === "feed");

const fedAlong = ({ kind, to }: Stroke): boolean =>
  kind === "feed" && (to.x === undefined) !== (to.y === undefined);

/** The way back to where a move begins, after the zeros were taken anew in the middle of it: over the place, then down beside. */
export function wayBack(all: readonly Stroke[], interrupted: Stroke, down: MmPerMin | null): Stroke[] {
  const at: Stroke["to"] = all
    .slice(0, interrupted.number - 1)
    .reduce((here, m) => ({ ...here, ...m.to }), {});
  const back = { ...interrupted, cuts: "air", notPast: false } as const;
  const { x, y, z } = at;
  return [
    { ...back, kind: "go", axis: "x", to: { ...(x !== undefined && { x }), ...(y !== undefined && { y }) } },
    ...(interrupted.kind === "down" || z === undefined
      ? []
      : // By the new zero a little may stand there: it is fed.
        [
          {
            ...back,
            kind: "down" as const,
            axis: "z" as const,
            to: { z },
            cuts: "down" as const,
            vf: down,
          },
        ]),
  ];
}

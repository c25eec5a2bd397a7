import { clampingAxes, type Orientation } from "../frame/index.ts";
import {
  fewStraps,
  noStudFor,
  type Seat,
  strapCapacity,
  strapsOwned,
  strapWarnings,
} from "../holding/index.ts";
import { boxOfPrism, type Prism, type ShaftSection } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { done, note, type Outcome, refused, rule, say, type Warning, warn, words } from "../working/index.ts";
import type { CutHere, FeatureSeat, HoldRequest } from "./hold-request.ts";

/** Half of a V-block along the shaft, and how far its middle keeps from an end, mm (guess). */
const halfBlock = 18;
/** From what is cut to the middle of a strap over a V-block: half the strap, half a holder, and a little between, mm (guess). */
const clearOfCut = 36;
/** Two blocks stand at least so far apart, mm; how much of the shaft must lie between or beside them (guess). */
const apart = 45;
/** How high the lowest line of a shaft lies over the table in its V-blocks, mm (guess), and what tools keep off the table. */
const rise = 20;
const clearOfTable = 1;
/** A cut this many diameters beyond the outer block springs (guess). */
const freeFor = 2;

/** Where two V-blocks can stand: on one diameter, clear of all that is cut, as far apart as they can; their middles from the left end, mm. */
function placesOfBlocks(
  sections: readonly ShaftSection[],
  cuts: readonly (readonly [Mm, Mm])[],
  /** Where it is not round any more. */
  gone: readonly (readonly [Mm, Mm])[],
): { at: [Mm, Mm]; diameter: Mm } | null {
  const free = sections.flatMap(({ from, to, diameter }) => {
    const places: { at: Mm; diameter: Mm }[] = [];
    for (let at = from + halfBlock; at <= to - halfBlock + 1e-9; at += 1)
      if (!near(at, cuts, clearOfCut) && !near(at, gone, halfBlock)) places.push({ at: tidy(at), diameter });
    return places;
  });
  const pairs = [...new Set(free.map((p) => p.diameter))].flatMap((diameter) => {
    const on = free.filter((p) => p.diameter === diameter).map((p) => p.at);
    const pair: [Mm, Mm] = [Math.min(...on), Math.max(...on)];
    return pair[1] - pair[0] >= apart ? [{ at: pair, diameter }] : [];
  });
  return pairs.sort((a, b) => b.at[1] - b.at[0] - (a.at[1] - a.at[0]))[0] ?? null;
}

/** Whether a place lies in one of some stretches of a shaft, or nearer to one than that, mm. */
const near = (at: Mm, stretches: readonly (readonly [Mm, Mm])[], than: Mm): boolean =>
  stretches.some(([low, high]) => at > low - than && at < high + than);

const lengthOf = (prism: Prism) => boxOfPrism(prism).length;

/** Where along a shaft it is cut, mm. */
const alongShaft = (cuts: readonly CutHere[]) => cuts.flatMap(({ cutout }) => cutout.prisms.map(lengthOf));

/** A shaft in a pair of V-blocks on the table, a strap across it over each: cutters pass beside it where jaws would stand. */
export function holdShaftOnTable(request: HoldRequest, at: Orientation): Outcome<FeatureSeat> {
  const { shop, site, cuts, gone } = request;
  const sections = site.shaft!;
  const thickest = Math.max(...sections.map((s) => s.diameter));
  if (strapsOwned(shop.aids) < 2) return fewStraps(strapsOwned(shop.aids));
  const found = placesOfBlocks(sections, alongShaft(cuts), gone.map(lengthOf));
  if (!found)
    return refused(
      rule(
        "holding.blocksNowhere",
      )`Nowhere along the shaft two V-blocks with a strap over each stand clear of what is cut, on one diameter.`,
      words("Cut it in two setups, or hold it between centers."),
    );
  const { diameter } = found;
  const blocks = shop.aids.find((a) => a.kind === "vBlocks" && diameter >= a.from && diameter <= a.to);
  if (!blocks || blocks.count < 2)
    return refused(
      rule("holding.vBlocks")`No pair of V-blocks in the shop holds a ${mm(diameter)} shaft.`,
      words("Enter the V-blocks you own."),
    );
  const comesOut = Math.max(0, ...cuts.map(({ floor }) => floor - thickest));
  const packing = Math.max(rise + (thickest - diameter) / 2, Math.ceil(comesOut + clearOfTable));
  const short = noStudFor(diameter, packing, shop.aids);
  if (short) return short;
  const { sign } = clampingAxes(at).x;
  const length = site.sizes.length;
  const seat: Seat = {
    up: at.up,
    fixed: at.fixed,
    vise: "",
    parallels: null,
    rod: null,
    paper: request.own?.paper ?? false,
    tap: false,
    soft: false,
    square: false,
    grip: 0,
    effectiveGrip: 0,
    projection: tidy(packing + diameter),
    standing: thickest,
    between: diameter,
    along: length,
    overhang: null,
    jack: false,
    stop: false,
    points: false,
    together: null,
    blocks: found.at,
    table: {
      packing,
      straps: 2,
      over: at.fixed,
      reach: tidy(diameter / 2 + 8),
      plate: null,
      at: found.at.map((m) => ({ edge: "back", left: sign > 0 ? m : tidy(length - m) })),
    },
  };
  return done({
    at,
    seat,
    device: "vBlocks",
    grip: strapCapacity(seat),
    reasons: [
      say`The shaft lies in a pair of V-blocks on the table, a strap across it over each: indicate its side along X and its crown level before anything is cut.`,
      words(
        "The blocks stand clear of all that is cut, and cutters pass beside the shaft where jaws would stand.",
      ),
    ],
    warnings: shaftOnTableWarnings(cuts, seat, request),
  });
}

/** What is said of a shaft strapped in V-blocks. */
export function shaftOnTableWarnings(
  cuts: readonly CutHere[],
  seat: Seat,
  { shop, machine }: Pick<HoldRequest, "shop" | "machine">,
): Warning[] {
  const [first, last] = seat.blocks ?? [0, seat.along];
  const beyond = Math.max(
    0,
    ...alongShaft(cuts).flatMap(([low, high]) => [first! - (low + high) / 2, (low + high) / 2 - last!]),
  );
  return [
    note(rule("M12.round")`A round part is held on lines only: tighten firmly, and start with light cuts.`),
    ...strapWarnings(seat, shop.aids, machine.tSlot),
    ...(beyond > freeFor * seat.between
      ? [
          warn(
            rule(
              "M42.free",
            )`It is cut ${mm(tidy(beyond))} beyond the nearest V-block: it springs there. Put a jack under that end.`,
          ),
        ]
      : []),
  ];
}

import { alongJaws, axisOf, faceNames, opposite, orientation, type Orientation } from "../frame/index.ts";
import { isThin } from "../squaring/index.ts";
import {
  done,
  type Outcome,
  type Phrase,
  type Refusal,
  refused,
  say,
  type Warning,
  words,
} from "../working/index.ts";
import { holdBlock } from "./feature-seat.ts";
import type { FeatureSeat, HoldRequest } from "./hold-request.ts";
import { type HoldingWay, holdingWays } from "./holding-way.ts";
import { holdShaftOnTable } from "./shaft-on-table.ts";
import { holdShaft } from "./shaft-seat.ts";
import { holdOnTable } from "./table-seat.ts";

/**
 * Holds the part with a face up, the best of the ways it can stand: in the vise where that does, else strapped, else glued when it is
 * thin. Refuses with the first reason when none does.
 */
export function holdForFeatures(request: HoldRequest): Outcome<FeatureSeat> {
  const { up, front, site, own } = request;
  const fixeds = front
    ? [opposite(front)]
    : faceNames.filter((f) => axisOf(f) !== axisOf(up) && (!own?.fixed || f === own.fixed));
  if (site.shaft) {
    const fixed = fixeds.find((f) => axisOf(f) !== "length") ?? fixeds[0];
    const at = fixed && orientation(up, fixed);
    return at
      ? holdShaftAnyhow(request, at)
      : refused(words("The shaft cannot be held that way."), words("Choose another face."));
  }
  const ats = fixeds.flatMap((fixed) => orientation(up, fixed) ?? []);
  const by = (way: HoldingWay) => bestOf(request, ats, way);
  if (own?.on) return by(own.on);
  const usual = by("vise");
  if (usual.ok && !usual.value.warnings.some(springs)) return usual;
  const refusals: Refusal[] = usual.ok ? [] : [usual];
  for (const way of holdingWays.slice(1)) {
    if (way === "plate" && !liesThin(request)) continue;
    const held = by(way);
    if (held.ok) return done({ ...held.value, reasons: [notInVise(usual), ...held.value.reasons] });
    if (way === "straps") refusals.push(held);
  }
  const [inVise, strapped] = refusals;
  return usual.ok || !inVise || !strapped
    ? usual
    : refused(
        say`In the vise: ${inVise.reason} Strapped to the table: ${strapped.reason}`,
        inVise.suggestion,
      );
}

/** A shaft in V-blocks in the vise; where that is in the way of its cuts, in V-blocks on the table. */
function holdShaftAnyhow(request: HoldRequest, at: Orientation): Outcome<FeatureSeat> {
  const inVise = holdShaft(request, at);
  if (axisOf(at.up) === "length" || (inVise.ok && !inVise.value.warnings.some(springs))) return inVise;
  const onTable = holdShaftOnTable(request, at);
  if (onTable.ok && !onTable.value.warnings.some(springs))
    return done({ ...onTable.value, reasons: [notInVise(inVise), ...onTable.value.reasons] });
  if (inVise.ok || onTable.ok) return inVise.ok ? inVise : onTable;
  return refused(say`In the vise: ${inVise.reason} On the table: ${onTable.reason}`, onTable.suggestion);
}

/** Whether a part lies on its wide side, thin enough to be glued so. */
const liesThin = ({ piece, up }: HoldRequest): boolean =>
  isThin(piece) && piece.sizes[axisOf(up)] === Math.min(...Object.values(piece.sizes));

/** A part that hangs free of the jaws where it is cut is better strapped. */
const springs = (warning: Warning): boolean => warning.phrase.id === "M42.free";

const notInVise = (usual: Outcome<FeatureSeat>): Phrase =>
  usual.ok
    ? say`Not in the vise: it would hang far past the jaws where it is cut, and spring.`
    : say`Not in the vise: ${usual.reason}`;

/** The best of the ways a block can stand, held one way. */
function bestOf(request: HoldRequest, ats: readonly Orientation[], way: HoldingWay): Outcome<FeatureSeat> {
  const { piece } = request;
  const tried = ats.map((at) => (way === "vise" ? holdBlock(request, at) : holdOnTable(request, at, way)));
  const can = tried.flatMap((t) => (t.ok ? [t.value] : []));
  can.sort((a, b) => b.score - a.score || piece.sizes[alongJaws(b.at)] - piece.sizes[alongJaws(a.at)]);
  const best = can[0];
  if (best) return done(best);
  // The reason of the way it would most likely be laid: across its narrower size.
  const across = (i: number) => piece.sizes[axisOf(ats[i]!.fixed)];
  const no = tried
    .map((t, i) => ({ t, i }))
    .sort((a, b) => across(a.i) - across(b.i))
    .find(({ t }) => !t.ok)?.t;
  return no && !no.ok
    ? no
    : refused(
        words("Nothing in the shop holds the part that way."),
        words("Choose another face at the jaw."),
      );
}

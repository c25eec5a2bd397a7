import { planRoute, type RouteContext, routeRisk } from "../route/index.ts";
import {
  onPoints,
  type School,
  schoolApplies,
  schoolName,
  schoolNames,
  schoolRule,
} from "../squaring/index.ts";
import type { Piece } from "../stock/index.ts";
import { type Phrase, say } from "../working/index.ts";

/** The school a block is squared by when the person chose none. */
export interface UsualSchool {
  school: School;
  /** Why it is not round the block; null when it is. */
  why: Phrase | null;
  /** What else is said where no school squares it: why it does not go on the table either. */
  nor: Phrase | null;
}

const ordinary: School = "round";
const strappedOn: readonly School[] = ["table", "castingOnTable"];

/** The same with another school. */
export const withSchool = (context: RouteContext, school: School): RouteContext => ({
  ...context,
  next: schoolRule(school, context.ends),
  points: onPoints(school),
});

/**
 * Round the block where that comes to its end; else the quickest of the schools that do, risks counted in; where none does, round the
 * block with what it lacks. It hangs on the block as it was bought: what is cut meanwhile does not change it.
 */
export function usualSchool(raw: Piece, context: RouteContext): UsualSchool {
  const by = (school: School) => planRoute(raw, [], withSchool(context, school));
  const { refusal } = by(ordinary);
  if (refusal === null) return { school: ordinary, why: null, nor: null };
  const others = schoolNames
    .filter((school) => school !== ordinary && schoolApplies(school, raw))
    .map((school) => ({ school, route: by(school) }));
  const whole = others
    .filter(({ route }) => route.refusal === null)
    .map(({ school, route }) => ({
      school,
      cost:
        routeRisk(route.setups) +
        route.setups.reduce((sum, s) => sum + s.minutes.cutting + s.minutes.handling, 0),
    }))
    .sort((a, b) => a.cost - b.cost)[0];
  if (whole)
    return {
      school: whole.school,
      why: say`Squared ${schoolName(whole.school).toLowerCase()}: round the block in the vise it cannot be done. ${refusal.reason}`,
      nor: null,
    };
  const strapped = others.find(({ school }) => strappedOn.includes(school))?.route.refusal;
  return {
    school: ordinary,
    why: null,
    nor: strapped ? say`Strapped to the table it cannot be done either: ${strapped.reason}` : null,
  };
}

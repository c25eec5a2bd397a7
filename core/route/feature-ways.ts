import { refused, words } from "../working/index.ts";
import { approachOf, byHand, type Drawn, type Option } from "./feature-candidate.ts";
import { featureOfKey } from "./feature-key.ts";
import { minutesOfOperation } from "./feature-operation.ts";
import type { Group } from "./feature-groups.ts";
import type { OtherWay } from "./feature-plan.ts";
import { operationsOf, ownedWorks } from "./feature-works.ts";
import type { FeaturesAsked } from "./features-asked.ts";

/** The ways of a feature, each worked over the seat of its approach: the best of every approach, and what was said of all. */
export function worked(
  { feature, cutout, ways }: Drawn,
  name: string,
  groups: ReadonlyMap<string, Group>,
  asked: FeaturesAsked,
): { options: Option[]; others: OtherWay[] } {
  const others: OtherWay[] = [];
  const best = new Map<string, Option>();
  const told = asked.begun.find((b) => featureOfKey(b.key) === feature.id);
  const wanted = told?.way ?? asked.ownWays[feature.id];
  for (const way of ways) {
    const key = approachOf(way);
    const held = [...groups].find(
      ([, group]) => group.of === key && (byHand(way) ? group.filed : group.cut).has(feature.id),
    );
    const approach = held?.[0] ?? key;
    const seat = (held?.[1] ?? groups.get(key)!).seat;
    const other = { name: way.name, why: way.why, up: way.up };
    if (!held) {
      others.push({
        ...other,
        minutes: null,
        refusal: seat.ok
          ? refused(
              words("It cannot be held with the others, nor by itself."),
              words("Make it another way, or do it by hand at the bench."),
            )
          : seat,
      });
      continue;
    }
    const made = seat.ok
      ? operationsOf(ownedWorks({ feature, cutout }, name, way, asked), seat.value, asked)
      : seat;
    if (!made.ok) {
      others.push({ ...other, minutes: null, refusal: made });
      continue;
    }
    const minutes = made.value.reduce((sum, o) => sum + minutesOfOperation(o), 0);
    others.push({ ...other, minutes, refusal: null });
    const known = best.get(approach);
    const likes = (name: string) => (name === wanted ? 1 : 0);
    if (
      !known ||
      likes(way.name) > likes(known.way.name) ||
      (likes(way.name) === likes(known.way.name) && minutes < known.minutes)
    )
      best.set(approach, { approach, up: way.up, way, minutes });
  }
  const options = [...best.values()];
  const asTold = told ? options.filter((o) => o.up === told.at.up) : options;
  const liked = wanted ? asTold.filter((o) => o.way.name === wanted) : asTold;
  return { options: liked.length > 0 ? liked : asTold.length > 0 ? asTold : options, others };
}

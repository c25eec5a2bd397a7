import { type Axis, axesAcross, type Face } from "../../../core/frame/index.ts";
import { type Change, changeOf, type Job, sameJson } from "../../../core/job/index.ts";
import {
  type Feature,
  fromEdge,
  mirrorFeature,
  movedTo,
  rulesOf,
  type Site,
} from "../../../core/part/index.ts";
import type { Dimension } from "../../../core/quantity/index.ts";
import { newId } from "../../../store/index.ts";
import { capital } from "../../../core/working/index.ts";
import { sayDone } from "../../instruments/done.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { featurePath } from "./feature-editor.tsx";

/** A place pressed on the views: where the next feature goes. */
export interface Spot {
  face: Face;
  first: Dimension;
  second: Dimension;
  said: string;
}

/**
 * What can be done with the features of a part: added, copied, mirrored, changed, put earlier or later, taken out. Each goes by
 * the decisions as they stand when it is pressed.
 * @param onPut a feature was put in
 */
export function useFeatures(site: Site, onPut: (id: string) => void) {
  const { newest, shown } = useJob();
  const submit = useSubmit();
  const change = (changes: Change[]) => void submit.change(changes);

  /** Puts a feature in after another, or at the end. */
  const put = (feature: Feature, after: string | null, into: Job) => {
    const { order } = into.part.features;
    const place = after === null ? order.length : order.indexOf(after) + 1;
    change([
      changeOf(into, featurePath(feature.id), feature),
      changeOf(into, "part/features/order", [...order.slice(0, place), feature.id, ...order.slice(place)]),
    ]);
    onPut(feature.id);
  };
  const reorder = (reordered: (order: string[]) => string[]) => {
    const { job } = shown();
    return changeOf(job, "part/features/order", reordered([...job.part.features.order]));
  };
  return {
    /** A new one, at a place pressed on the views where there is one. */
    add: (kind: Feature["kind"], spot: Spot | null) => {
      const made = rulesOf(kind).make(newId(), "top");
      put(spot ? placedAt(made, spot) : made, null, shown().job);
    },
    /** Once more beside it, mirrored along a size where one is given. */
    copy: async (of: string, axis: Axis | null) => {
      // What was typed just before is copied too.
      const now = await newest();
      const feature = now.part.features.byId[of];
      if (!feature) return;
      put({ ...(axis ? mirrorFeature(feature, axis, site) : feature), id: newId() }, of, now);
    },
    set: (feature: Feature, next: Feature) => change(changesTo(shown().job, feature, next)),
    /** Removes a feature; its undo puts it back where it stood, whatever was changed since. */
    takeOut: (id: string, name: string) => {
      const { byId, order } = shown().job.part.features;
      const [removed, at] = [byId[id], order.indexOf(id)];
      change([
        changeOf(shown().job, featurePath(id), null),
        reorder((now) => now.filter((other) => other !== id)),
      ]);
      sayDone(`${capital(name)} removed.`, () => {
        // Undone already, by the key or in another tab.
        if (shown().job.part.features.byId[id]) return;
        change([
          changeOf(shown().job, featurePath(id), removed ?? null),
          reorder((now) => now.toSpliced(at, 0, id)),
        ]);
      });
    },
    move: (id: string, by: -1 | 1) =>
      change([
        reorder((order) => {
          const at = order.indexOf(id);
          const [moved] = order.splice(at, 1);
          order.splice(Math.max(0, at + by), 0, moved!);
          return order;
        }),
      ]),
  };
}

const lowEdges = { length: "left", width: "front", height: "bottom" } as const;

/** A feature at a place pressed on the views, as far as it has places. */
function placedAt(feature: Feature, spot: Spot): Feature {
  const [a, b] = axesAcross(spot.face);
  const places = rulesOf(feature.kind).places(feature);
  return {
    ...movedTo(feature, spot.face),
    ...(places.includes("first") ? { first: fromEdge(lowEdges[a], spot.first) } : {}),
    ...(places.includes("second") ? { second: fromEdge(lowEdges[b], spot.second) } : {}),
  };
}

/** What differs between a feature and its next state, each part on its own: a size still being kept is no conflict. */
const changesTo = (job: Job, feature: Feature, next: Feature): Change[] =>
  Object.entries(next).flatMap(([key, value]) =>
    sameJson(value, feature[key as keyof Feature])
      ? []
      : [changeOf(job, `${featurePath(feature.id)}/${key}`, value)],
  );

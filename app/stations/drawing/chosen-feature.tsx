import { Box, chakra } from "@chakra-ui/react";
import { axesAcross } from "../../../core/frame/index.ts";
import { type Feature, featureNames, hangingOn, type Site } from "../../../core/part/index.ts";
import type { Warning } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { FeatureEditor } from "./feature-editor.tsx";
import type { useFeatures } from "./use-features.ts";

/** The feature chosen on the sheet: all that is entered of it, what the drawing check says of it, and what can be done with it. */
export function ChosenFeature({
  feature,
  features,
  found,
  site,
  fresh,
  actions,
  onClose,
}: {
  feature: Feature;
  /** All of the part, in their order. */
  features: readonly Feature[];
  found: Warning[];
  site: Site;
  /** Just put in: the keyboard goes on at its first size. */
  fresh: boolean;
  actions: ReturnType<typeof useFeatures>;
  onClose: () => void;
}) {
  const names = featureNames(features);
  const { id } = feature;
  const at = features.indexOf(feature);
  const hanging = hangingOn(id, features);
  const others = features.filter((f) => f.id !== id && !hanging.includes(f));
  const named = (of: readonly Feature[]) => of.map((f) => names.get(f.id)!);
  return (
    <Box as="section" aria-label={names.get(id)}>
      <Box display="flex" justifyContent="space-between" alignItems="center" gap="8px">
        <chakra.h2 fontSize="16px" color="accent">
          {names.get(id)}
        </chakra.h2>
        <Button look="quiet" onClick={onClose}>
          Done
        </Button>
      </Box>
      <FeatureEditor
        feature={feature}
        others={others.map((f) => ({ id: f.id, name: names.get(f.id)! }))}
        site={site}
        fresh={fresh}
        onSet={(next) => actions.set(feature, next)}
      />
      <Warnings of={found} />
      {hanging.length > 0 && (
        <chakra.p fontSize="14px" color="quiet" mt="6px">
          {named(hanging).join(", ")} {hanging.length === 1 ? "counts" : "count"} from it and{" "}
          {hanging.length === 1 ? "moves" : "move"} with it.
        </chakra.p>
      )}
      <Box display="flex" gap="6px" flexWrap="wrap" mt="8px" className="no-print">
        <Button onClick={() => void actions.copy(id, null)}>Duplicate</Button>
        {axesAcross(feature.face).map((axis) => (
          <Button key={axis} onClick={() => void actions.copy(id, axis)}>
            Mirror along the {axis}
          </Button>
        ))}
        <Button disabled={at === 0} onClick={() => actions.move(id, -1)}>
          Earlier
        </Button>
        <Button disabled={at === features.length - 1} onClick={() => actions.move(id, 1)}>
          Later
        </Button>
        <Button onClick={() => actions.takeOut(id, names.get(id)!)}>Remove</Button>
      </Box>
    </Box>
  );
}

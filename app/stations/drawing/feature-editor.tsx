import { Box } from "@chakra-ui/react";
import { axesAcross, type Face, faceNames } from "../../../core/frame/index.ts";
import { featureKey } from "../../../core/plan/index.ts";
import {
  chosen,
  type Fact,
  type Feature,
  type Locate,
  matters,
  type Matters,
  mattersWords,
  movedTo,
  rulesOf,
  type Site,
  withChoice,
} from "../../../core/part/index.ts";
import type { Dimension } from "../../../core/quantity/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { dimensionEntry, numberEntry, NumberEntry } from "../../instruments/number-entry.tsx";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure } from "../../instruments/words.tsx";
import { OutlinePoints } from "./outline-points.tsx";
import { PlaceEntry } from "./place-entry.tsx";

/** Where a feature is kept in the job. */
export const featurePath = (id: string) => `part/features/byId/${id}`;

/** As many side by side as there is room for: two in the margin. */
const cells = {
  display: "grid",
  gridTemplateColumns: "repeat(auto-fill, minmax(106px, 1fr))",
  gap: "8px 12px",
  mt: "6px",
  alignItems: "end",
} as const;

/** All that is entered of a feature: its face, its choices, where it lies, its sizes. */
export function FeatureEditor({
  feature,
  others,
  site,
  fresh,
  onSet,
}: {
  feature: Feature;
  /** Other features it can count from, with their names. */
  others: readonly { id: string; name: string }[];
  site: Site | null;
  fresh: boolean;
  onSet: (next: Feature) => void;
}) {
  const rules = rulesOf(feature.kind);
  const axes = axesAcross(feature.face);
  const fields = rules.fields(feature);
  const path = featurePath(feature.id);
  const sizes = feature.sizes as Record<string, Dimension | null>;
  const numbers = feature.numbers as Record<string, number | null>;
  return (
    <>
      <Box {...cells}>
        {fields.map(({ key, label, empty, unit }, i) => {
          const shared = {
            label: empty === null ? label : `${label} (empty: ${empty})`,
            optional: empty !== null,
            fresh: fresh && i === 0,
            width: "100%",
            terse: true,
          };
          return unit === "length" ? (
            <NumberEntry
              key={key}
              path={`${path}/sizes/${key}`}
              kind={dimensionEntry}
              value={sizes[key] ?? null}
              {...shared}
            />
          ) : (
            <NumberEntry
              key={key}
              path={`${path}/numbers/${key}`}
              kind={numberEntry(unit)}
              value={numbers[key] ?? null}
              {...shared}
            />
          );
        })}
      </Box>
      <Box {...cells}>
        {rules.places(feature).map((which) => (
          <PlaceEntry
            key={which}
            axis={axes[which === "first" ? 0 : 1]}
            place={feature[which]}
            others={others}
            path={`${path}/${which}`}
            onSet={(place: Locate) => onSet({ ...feature, [which]: place })}
          />
        ))}
      </Box>
      <Box {...cells}>
        <Choice<Face>
          label="On the face"
          value={feature.face}
          options={faceNames.map((f) => [f, f] as const)}
          onChoose={(face) => onSet(movedTo(feature, face))}
        />
        {rules.choices(feature).map(({ key, label, options }) => {
          const value = chosen(feature, key);
          return (
            <Choice
              key={key}
              label={label}
              value={options.some(([v]) => v === value) ? value : ""}
              options={options}
              onChoose={(next) => onSet(withChoice(feature, key, next))}
            />
          );
        })}
      </Box>
      <Box {...cells}>
        <Choice<Matters>
          label="Judged"
          value={feature.matters}
          options={matters.map((m) => [m, mattersWords[m]] as const)}
          onChoose={(next) => onSet({ ...feature, matters: next })}
        />
      </Box>
      {feature.kind === "outline" && <OutlinePoints feature={feature} onSet={onSet} />}
      {site && <Facts of={rules.facts?.(feature, site) ?? []} id={feature.id} />}
    </>
  );
}

/** Figures worked from a feature, each with its working in the margin. */
function Facts({ of, id }: { of: readonly Fact[]; id: string }) {
  if (of.length === 0) return null;
  return (
    <Box as="dl" display="flex" flexWrap="wrap" gap="2px 18px" mt="8px" fontSize="14.5px">
      {of.map(({ label, value, decimals }, i) => (
        <Box key={label} display="flex" gap="6px">
          <Box as="dt" color="quiet">
            {label}
          </Box>
          <Box as="dd" fontWeight="600">
            <Worked at={featureKey(id, i)}>
              <Figure of={value} {...(decimals === undefined ? {} : { decimals })} />
            </Worked>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import {
  type Axis,
  axesAcross,
  axisNames,
  axisOf,
  type Face,
  faceNames,
  facesOf,
} from "../../../core/frame/index.ts";
import { type Change, changeOf } from "../../../core/job/index.ts";
import {
  type Feature,
  featureKinds,
  featureNames,
  featuresOf,
  type Locate,
  mirrorFeature,
  rulesOf,
} from "../../../core/part/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { NotTaken } from "../../instruments/not-taken.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { dimensionEntry, NumberEntry } from "../../instruments/number-entry.tsx";
import { Section } from "../../instruments/section.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";

const at = (id: string) => `part/features/byId/${id}`;

/** What is cut into the block: added, placed, sized, copied, mirrored, moved to another face, taken out. */
export function Features() {
  const { job } = useJob();
  const submit = useSubmit();
  const [open, setOpen] = useState<string | null>(null);
  /** Just put in: the keyboard goes on there. */
  const [fresh, setFresh] = useState<string | null>(null);
  const features = featuresOf(job.part);
  const names = featureNames(features);
  const { order } = job.part.features;

  /** Puts a feature in after another, or at the end. */
  const put = (feature: Feature, after: string | null) => {
    const place = after === null ? order.length : order.indexOf(after) + 1;
    void submit.change([
      changeOf(job, at(feature.id), feature),
      changeOf(job, "part/features/order", [...order.slice(0, place), feature.id, ...order.slice(place)]),
    ]);
    setOpen(feature.id);
    setFresh(feature.id);
  };
  const change = (changes: Change[]) => void submit.change(changes);
  const takeOut = (id: string) =>
    change([
      changeOf(job, at(id), null),
      changeOf(
        job,
        "part/features/order",
        order.filter((other) => other !== id),
      ),
    ]);
  const swap = (id: string, by: -1 | 1) => {
    const i = order.indexOf(id);
    const next = [...order];
    [next[i], next[i + by]] = [next[i + by]!, next[i]!];
    change([changeOf(job, "part/features/order", next)]);
  };

  return (
    <Section title="Features">
      {submit.answer && !submit.answer.ok && !submit.busy && <NotTaken />}
      <Box as="ul" listStyleType="none">
        {features.map((feature, i) => (
          <Box as="li" key={feature.id} borderTopWidth="1px" py="8px">
            <FeatureRow
              feature={feature}
              name={names.get(feature.id)!}
              open={open === feature.id}
              fresh={fresh === feature.id}
              onOpen={() => setOpen(open === feature.id ? null : feature.id)}
              onSet={(next) => change([changeOf(job, at(feature.id), next)])}
            />
            {open === feature.id && (
              <Box display="flex" gap="8px" flexWrap="wrap" mt="8px" className="no-print">
                <Button onClick={() => put({ ...feature, id: newId() }, feature.id)}>Duplicate</Button>
                {axesAcross(feature.face).map((axis) => (
                  <Button
                    key={axis}
                    onClick={() => put({ ...mirrorFeature(feature, axis), id: newId() }, feature.id)}
                  >
                    Mirror along the {axis}
                  </Button>
                ))}
                <Button disabled={i === 0} onClick={() => swap(feature.id, -1)}>
                  Earlier
                </Button>
                <Button disabled={i === features.length - 1} onClick={() => swap(feature.id, 1)}>
                  Later
                </Button>
                <Button onClick={() => takeOut(feature.id)}>Take out</Button>
              </Box>
            )}
          </Box>
        ))}
      </Box>
      <Box display="flex" gap="8px" flexWrap="wrap" alignItems="center" mt="8px" className="no-print">
        <span>Add a</span>
        {featureKinds.map((kind) => (
          <Button
            key={kind}
            title={rulesOf(kind).what}
            onClick={() => put(rulesOf(kind).make(newId(), "top"), null)}
          >
            {rulesOf(kind).word}
          </Button>
        ))}
      </Box>
    </Section>
  );
}

/** One feature: in a line when closed, its entries when open. */
function FeatureRow({
  feature,
  name,
  open,
  fresh,
  onOpen,
  onSet,
}: {
  feature: Feature;
  name: string;
  open: boolean;
  fresh: boolean;
  onOpen: () => void;
  onSet: (next: Feature) => void;
}) {
  const { plan } = useJob();
  const toggle = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (fresh) toggle.current?.focus();
  }, [fresh]);
  const rules = rulesOf(feature.kind);
  const axes = axesAcross(feature.face);
  const found = plan.findings.filter((f) => f.feature === feature.id);
  const sizes = feature.sizes as Record<string, Feature["sizes"][keyof Feature["sizes"]] | null>;
  return (
    <>
      <chakra.button
        ref={toggle}
        type="button"
        font="inherit"
        minH="36px"
        cursor="pointer"
        aria-expanded={open}
        onClick={onOpen}
        textAlign="left"
        width="100%"
      >
        <b>
          {open ? "▾" : "▸"} {name}
        </b>{" "}
        on the {feature.face} face
        <chakra.span color={found.length > 0 ? "warn" : "good"}>
          {found.length > 0 ? ` · ▲ ${found.length} to look at` : " · ● nothing against it"}
        </chakra.span>
      </chakra.button>
      {open && (
        <Box display="flex" gap="10px 14px" flexWrap="wrap" mt="6px" alignItems="flex-start">
          <Choice<Face>
            label="On the face"
            value={feature.face}
            options={faceNames.map((f) => [f, f] as const)}
            onChoose={(face) => onSet(movedTo(feature, face))}
          />
          {feature.kind === "slot" && (
            <Choice<Axis>
              label="Runs along the"
              value={feature.along}
              options={axes.map((a) => [a, a] as const)}
              onChoose={(along) => onSet({ ...feature, along })}
            />
          )}
          {feature.kind === "step" && (
            <Choice<Face>
              label="Open to the side"
              value={feature.side}
              options={faceNames
                .filter((f) => axisOf(f) !== axisOf(feature.face))
                .map((f) => [f, f] as const)}
              onChoose={(side) => onSet({ ...feature, side })}
            />
          )}
          {rules.places(feature).map((which) => (
            <PlaceEntry
              key={which}
              axis={axes[which === "first" ? 0 : 1]}
              place={feature[which]}
              path={`${at(feature.id)}/${which}`}
              onSet={(place) => onSet({ ...feature, [which]: place })}
            />
          ))}
          {rules.sizes.map(({ key, label, empty }) => (
            <NumberEntry
              key={key}
              label={empty === null ? sizeLabel(feature, key, label) : `${label} (empty: ${empty})`}
              path={`${at(feature.id)}/sizes/${key}`}
              kind={dimensionEntry}
              value={sizes[key] ?? null}
              optional={empty !== null}
            />
          ))}
        </Box>
      )}
      {open && <Warnings of={found} />}
    </>
  );
}

/** The two sides of a pocket are named by the sizes of the part they lie along. */
const sizeLabel = (feature: Feature, key: string, label: string): string =>
  feature.kind === "pocket" && (key === "first" || key === "second")
    ? `Along the ${axesAcross(feature.face)[key === "first" ? 0 : 1]}`
    : label;

/** Where a middle lies along a size: on the center line, or from an edge. */
function PlaceEntry({
  axis,
  place,
  path,
  onSet,
}: {
  axis: Axis;
  place: Locate;
  path: string;
  onSet: (place: Locate) => void;
}) {
  return (
    <Box display="flex" gap="6px" alignItems="flex-start">
      <Choice<Locate["from"]>
        label={`Along the ${axis}, from`}
        value={place.from}
        options={[["center", "the center"], ...facesOf(axis).map((f) => [f, `the ${f}`] as const)]}
        onChoose={(from) => onSet({ from, at: place.at })}
      />
      {place.from !== "center" && (
        <NumberEntry
          label={`to its middle, along the ${axis}`}
          path={`${path}/at`}
          kind={dimensionEntry}
          value={place.at}
        />
      )}
    </Box>
  );
}

/** The feature on another face: places and directions that its new face does not have begin on the center. */
function movedTo(feature: Feature, face: Face): Feature {
  const axes = axesAcross(face);
  const kept = (place: Locate, axis: Axis): Locate =>
    place.from !== "center" && axisOf(place.from) !== axis ? { from: "center", at: place.at } : place;
  const moved = {
    ...feature,
    face,
    first: kept(feature.first, axes[0]),
    second: kept(feature.second, axes[1]),
  };
  if (moved.kind === "slot" && !axes.includes(moved.along)) return { ...moved, along: axes[0] };
  if (moved.kind === "step" && axisOf(moved.side) === axisOf(face))
    return { ...moved, side: facesOf(axisNames.find((a) => a !== axisOf(face))!)[0] };
  return moved;
}

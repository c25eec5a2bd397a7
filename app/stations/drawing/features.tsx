import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { type Axis, axesAcross, type Face } from "../../../core/frame/index.ts";
import { type Change, changeOf, type Job, sameJson } from "../../../core/job/index.ts";
import {
  type Feature,
  featureNames,
  featuresOf,
  fromEdge,
  hangingOn,
  kindsFor,
  mirrorFeature,
  movedTo,
  needsDimension,
  rulesOf,
  type Site,
} from "../../../core/part/index.ts";
import type { Dimension } from "../../../core/quantity/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useSingleKeys } from "../../instruments/local-setting.ts";
import { Warnings } from "../../instruments/notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { FeatureEditor, featurePath } from "./feature-editor.tsx";

/** A place pressed on the views: where the next feature goes. */
export interface Spot {
  face: Face;
  first: Dimension;
  second: Dimension;
  said: string;
}

/** What is cut into the part: added, placed, sized, copied, mirrored, moved to another face, taken out. */
export function Features({
  site,
  open,
  onOpen,
  spot,
  onSpotUsed,
}: {
  site: Site;
  open: string | null;
  onOpen: (id: string | null) => void;
  spot: Spot | null;
  onSpotUsed: () => void;
}) {
  const { job, newest } = useJob();
  const submit = useSubmit();
  /** Just put in: the keyboard goes on there. */
  const [fresh, setFresh] = useState<string | null>(null);
  const features = featuresOf(job.part);
  const names = featureNames(features);
  const { order } = job.part.features;

  /** Puts a feature in after another, or at the end. */
  const put = (feature: Feature, after: string | null, into = job) => {
    const { order } = into.part.features;
    const place = after === null ? order.length : order.indexOf(after) + 1;
    void submit.change([
      changeOf(into, featurePath(feature.id), feature),
      changeOf(into, "part/features/order", [...order.slice(0, place), feature.id, ...order.slice(place)]),
    ]);
    setFresh(feature.id);
    onOpen(feature.id);
  };
  const add = (feature: Feature) => {
    if (!spot) return put(feature, null);
    const [a, b] = axesAcross(spot.face);
    const [low, back] = [edgeOf(a), edgeOf(b)];
    const places = rulesOf(feature.kind).places(feature);
    put(
      {
        ...movedTo(feature, spot.face),
        ...(places.includes("first") ? { first: fromEdge(low, spot.first) } : {}),
        ...(places.includes("second") ? { second: fromEdge(back, spot.second) } : {}),
      },
      null,
    );
    onSpotUsed();
  };
  const change = (changes: Change[]) => void submit.change(changes);
  const copy = async (of: string, axis: Axis | null) => {
    // What was typed just before is copied too.
    const now = await newest();
    const feature = now.part.features.byId[of];
    if (!feature) return;
    const made = axis ? mirrorFeature(feature, axis, site) : feature;
    put({ ...made, id: newId() }, of, now);
  };
  const takeOut = (id: string) =>
    change([
      changeOf(job, featurePath(id), null),
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
      <Box as="ul" listStyleType="none">
        {features.map((feature, i) => {
          const hanging = hangingOn(feature.id, features).map((f) => names.get(f.id)!);
          return (
            <Box as="li" key={feature.id} borderTopWidth="1px" py="8px">
              <FeatureRow
                feature={feature}
                name={names.get(feature.id)!}
                open={open === feature.id}
                onOpen={() => {
                  setFresh(null);
                  onOpen(open === feature.id ? null : feature.id);
                }}
              />
              {open === feature.id && (
                <>
                  <FeatureEditor
                    feature={feature}
                    others={features
                      .filter((f) => f.id !== feature.id && !hangingOn(feature.id, features).includes(f))
                      .map((f) => ({ id: f.id, name: names.get(f.id)! }))}
                    site={site}
                    fresh={fresh === feature.id}
                    onSet={(next) => change(changesTo(job, feature, next))}
                  />
                  {hanging.length > 0 && (
                    <chakra.p fontSize="14px" color="quiet" mt="6px">
                      {hanging.join(", ")} {hanging.length === 1 ? "counts" : "count"} from it and{" "}
                      {hanging.length === 1 ? "moves" : "move"} with it.
                    </chakra.p>
                  )}
                  <Box display="flex" gap="8px" flexWrap="wrap" mt="8px" className="no-print">
                    <Button onClick={() => void copy(feature.id, null)}>Duplicate</Button>
                    {axesAcross(feature.face).map((axis) => (
                      <Button key={axis} onClick={() => void copy(feature.id, axis)}>
                        Mirror along the {axis}
                      </Button>
                    ))}
                    <Button disabled={i === 0} onClick={() => swap(feature.id, -1)}>
                      Earlier
                    </Button>
                    <Button disabled={i === features.length - 1} onClick={() => swap(feature.id, 1)}>
                      Later
                    </Button>
                    <Button onClick={() => takeOut(feature.id)}>Remove</Button>
                  </Box>
                </>
              )}
            </Box>
          );
        })}
      </Box>
      {spot && (
        <chakra.p fontSize="14px" mt="8px" role="status">
          The next feature goes {spot.said}.
        </chakra.p>
      )}
      <AddBar
        form={job.part.shaft ? "shaft" : "block"}
        onAdd={(kind) => add(rulesOf(kind).make(newId(), "top"))}
      />
    </Section>
  );
}

/** What differs between a feature and its next state, each part on its own: a size still being kept is no conflict. */
const changesTo = (job: Job, feature: Feature, next: Feature): Change[] =>
  Object.entries(next).flatMap(([key, value]) =>
    sameJson(value, feature[key as keyof Feature])
      ? []
      : [changeOf(job, `${featurePath(feature.id)}/${key}`, value)],
  );

const lowEdges = { length: "left", width: "front", height: "bottom" } as const;
const edgeOf = (axis: keyof typeof lowEdges) => lowEdges[axis];

/** Every kind there is. The key a brings the keyboard here; its first letter or the arrows go on to a kind. */
function AddBar({ form, onAdd }: { form: "block" | "shaft"; onAdd: (kind: Feature["kind"]) => void }) {
  const bar = useRef<HTMLDivElement>(null);
  const [singleKeys] = useSingleKeys();
  const kinds = kindsFor(form);
  useKeyboard(
    { a: () => bar.current?.querySelector("button")?.focus() },
    { single: singleKeys === "on", onInstrument: () => undefined },
  );
  const onKey = (event: KeyboardEvent<HTMLDivElement>) => {
    const buttons = [...(bar.current?.querySelectorAll("button") ?? [])];
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const letter = event.key.length === 1 ? event.key.toLowerCase() : null;
    const after = [...buttons.slice(at + 1), ...buttons.slice(0, at + 1)];
    const next = step
      ? buttons[(at + step + buttons.length) % buttons.length]
      : letter && !event.ctrlKey && !event.metaKey && !event.altKey
        ? after.find((button) => button.textContent?.toLowerCase().startsWith(letter))
        : undefined;
    if (!next) return;
    event.preventDefault();
    event.stopPropagation();
    next.focus();
  };
  return (
    <Box
      ref={bar}
      role="toolbar"
      aria-label="Add a feature"
      onKeyDown={onKey}
      display="flex"
      gap="8px"
      flexWrap="wrap"
      alignItems="center"
      mt="8px"
      className="no-print"
    >
      <span>
        Add a{" "}
        <chakra.kbd fontFamily="mono" fontSize="12px" borderWidth="1px" px="5px">
          a
        </chakra.kbd>
      </span>
      {kinds.map((kind) => (
        <Button key={kind} title={rulesOf(kind).what} onClick={() => onAdd(kind)}>
          {rulesOf(kind).word}
        </Button>
      ))}
    </Box>
  );
}

/** One feature in a line. */
function FeatureRow({
  feature,
  name,
  open,
  onOpen,
}: {
  feature: Feature;
  name: string;
  open: boolean;
  onOpen: () => void;
}) {
  const { plan } = useJob();
  const found = plan.findings.filter((f) => f.feature === feature.id);
  const places = rulesOf(feature.kind).places(feature);
  const centered = places.length > 0 && !places.some((which) => needsDimension(feature[which]));
  const toggle = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (open) toggle.current?.scrollIntoView({ block: "nearest" });
  }, [open]);
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
        on the {feature.face} face{centered ? ", centered" : ""}
        <chakra.span color={found.length > 0 ? "warn" : "good"}>
          {found.length > 0 ? ` · ▲ ${found.length} to look at` : " · ● nothing against it"}
        </chakra.span>
      </chakra.button>
      {open && <Warnings of={found} />}
    </>
  );
}

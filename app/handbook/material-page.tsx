import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useFetcher } from "react-router";
import {
  type CutterKind,
  feedPerTooth,
  feedPerTurn,
  feedSource,
  type MarkedMaterial,
  type Material,
  materialGroups,
  type Range,
  type ToolMaterial,
  toolMaterials,
  wordsFor,
} from "../../core/handbook/index.ts";
import { type LengthUnit, quantity, showParts, unitOf } from "../../core/quantity/index.ts";
import { Button } from "../instruments/button.tsx";
import { Choice } from "../instruments/choice.tsx";
import { Field } from "../instruments/field.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { Notice } from "../instruments/notice.tsx";
import { Section, StationTitle, Table } from "../instruments/section.tsx";
import { HandbookFrame } from "./handbook-frame.tsx";

const range = (kind: "cuttingSpeed" | "chip", [low, high]: Range, unit: LengthUnit, decimals?: number) =>
  `${showParts(quantity(kind, low), unit, decimals).number} to ${showParts(quantity(kind, high), unit, decimals).number}`;

/** One material: speeds, feeds by kind and diameter, forces, behavior, source; with the person's own values marked. */
export function MaterialPage({
  material,
  published,
}: {
  material: MarkedMaterial;
  published: Material | null;
}) {
  const [unit] = useUnit();
  const [editing, setEditing] = useState(material.own === "added" && material.name === "New material");
  const yours = (key: keyof Material) =>
    material.changed.includes(key) ? <chakra.b color="accent"> ◆ yours</chakra.b> : null;
  return (
    <HandbookFrame place={material.name}>
      <StationTitle
        above={
          <Link to="/handbook/materials" style={{ textDecoration: "underline" }}>
            Materials
          </Link>
        }
      >
        {material.name}
      </StationTitle>
      {material.own && (
        <Notice severity="note">
          ◆{" "}
          {material.own === "added"
            ? "Added by you."
            : "Changed by you: marked below. Plans use your values."}
        </Notice>
      )}
      {material.caution && <Notice severity="warn">{material.caution}</Notice>}
      <chakra.p fontSize="17px" maxW="760px" mt="6px">
        {material.behavior}{" "}
        {material.workHardens && <b>Work-hardens: never dwell, never rub, no spring passes.</b>}
        {yours("behavior")}
      </chakra.p>
      <Box
        display="grid"
        gap="0 32px"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "repeat(2, minmax(0, 1fr))" }}
      >
        <Section title={`Cutting speed, ${unitOf("cuttingSpeed", unit)}`}>
          <Table label="Cutting speeds" head={["cutter of", "range", ""]}>
            {toolMaterials.map((tool) => (
              <tr key={tool}>
                <th scope="row">{wordsFor.toolMaterial[tool]}</th>
                <chakra.td fontWeight="700">
                  {range("cuttingSpeed", material.speeds[tool], unit, 0)}
                </chakra.td>
                <td>
                  {published && differs(material, published, tool) && (
                    <chakra.span color="accent">
                      ◆ yours; the handbook has {range("cuttingSpeed", published.speeds[tool], unit, 0)}
                    </chakra.span>
                  )}
                </td>
              </tr>
            ))}
          </Table>
          <chakra.p fontSize="13px" color="quiet">
            Source: {material.source}; published values reach {Math.round(material.spread * 100)} % beyond
            either end.
          </chakra.p>
        </Section>
        <Section title="Values">
          <Table label="Values" head={["", "", ""]}>
            {(
              [
                ["kc1.1", `${material.kc11} N/mm²`, "kc11"],
                ["mc", String(material.mc), "mc"],
                ["density", `${material.density} kg/m³`, "density"],
                ["grows, per m and °C", `${material.expansion} mm`, "expansion"],
                ["fluid", material.fluid, "fluid"],
                ["feeds and depths as", material.group, "group"],
              ] as const
            ).map(([name, value, key]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>{value}</td>
                <td>{yours(key)}</td>
              </tr>
            ))}
          </Table>
        </Section>
      </Box>
      <Feeds material={material} unit={unit} />
      <Box className="no-print" mt="18px">
        {editing ? (
          <EditMaterial material={material} published={published} onDone={() => setEditing(false)} />
        ) : (
          <Button onClick={() => setEditing(true)}>Change a value to yours</Button>
        )}
      </Box>
    </HandbookFrame>
  );
}

const differs = (a: Material, b: Material, tool: ToolMaterial) =>
  a.speeds[tool][0] !== b.speeds[tool][0] || a.speeds[tool][1] !== b.speeds[tool][1];

const byDiameter: CutterKind[] = ["endMill", "twistDrill", "reamer"];
const diameters = [3, 6, 10, 12, 16, 20, 25];
const fixedKinds: CutterKind[] = [
  "faceMill",
  "shellMill",
  "flyCutter",
  "sideAndFace",
  "slabMill",
  "slittingSaw",
  "woodruff",
  "tSlot",
  "dovetail",
  "chamfer",
];

/** Feed per tooth by kind of cutter and diameter; drills and reamers per turn. */
function Feeds({ material, unit }: { material: Material; unit: LengthUnit }) {
  const show = (r: Range) => range("chip", r, unit, unit === "mm" ? 3 : 4);
  return (
    <Section title={`Feed, ${unitOf("chip", unit)} per tooth; per turn for drills and reamers`}>
      <Table
        label="Feeds by diameter"
        head={["", ...diameters.map((d) => (unit === "mm" ? `${d} mm` : `${(d / 25.4).toFixed(3)} in`))]}
      >
        {byDiameter.map((kind) => (
          <tr key={kind}>
            <th scope="row">{wordsFor.cutterKind[kind]}</th>
            {diameters.map((d) => (
              <chakra.td key={d} whiteSpace="nowrap">
                {show(feedPerTurn(material.group, kind, d) ?? feedPerTooth(material.group, kind, d))}
              </chakra.td>
            ))}
          </tr>
        ))}
      </Table>
      <Box as="ul" listStyleType="none" columns={{ base: 1, md: 3 }} mt="8px" fontSize="14.5px">
        {fixedKinds.map((kind) => (
          <li key={kind}>
            {wordsFor.cutterKind[kind]}: <b>{show(feedPerTooth(material.group, kind, 20))}</b>
          </li>
        ))}
      </Box>
      <chakra.p fontSize="13px" color="quiet">
        Source: {feedSource}; ranges for Woodruff, T-slot, saw and fly cutters are the least certain.
      </chakra.p>
    </Section>
  );
}

type Draft = { [key: string]: string };

function draftOf(m: Material): Draft {
  return {
    name: m.name,
    group: m.group,
    kc11: String(m.kc11),
    mc: String(m.mc),
    density: String(m.density),
    expansion: String(m.expansion),
    fluid: m.fluid,
    behavior: m.behavior,
    ...Object.fromEntries(
      toolMaterials.flatMap((t) => [
        [`${t}.low`, String(m.speeds[t][0])],
        [`${t}.high`, String(m.speeds[t][1])],
      ]),
    ),
  };
}

/** The material a draft stands for; numbers that are none stay NaN and are refused by the schema. */
function materialOf(draft: Draft, base: Material): Material {
  const n = (key: string) => Number((draft[key] ?? "").trim().replace(",", ".") || NaN);
  return {
    ...base,
    name: (draft.name ?? "").trim(),
    group: materialGroups.find((g) => g === draft.group) ?? base.group,
    kc11: n("kc11"),
    mc: n("mc"),
    density: n("density"),
    expansion: n("expansion"),
    fluid: draft.fluid ?? "",
    behavior: draft.behavior ?? "",
    speeds: Object.fromEntries(
      toolMaterials.map((t) => [t, [n(`${t}.low`), n(`${t}.high`)]]),
    ) as unknown as Material["speeds"],
  };
}

const numberFields = [
  ["kc11", "kc1.1, N/mm²"],
  ["mc", "mc"],
  ["density", "density, kg/m³"],
  ["expansion", "grows, mm per m and °C"],
] as const;

function EditMaterial({
  material,
  published,
  onDone,
}: {
  material: MarkedMaterial;
  published: Material | null;
  onDone: () => void;
}) {
  const fetcher = useFetcher<{ ok: true } | { ok: false; problem: string }>();
  const { own } = material;
  const [draft, setDraft] = useState<Draft>(() => draftOf(material));
  const send = (next: Material | null, leave = false) =>
    void fetcher
      .submit({ id: material.id, material: next, leave } as never, {
        method: "post",
        encType: "application/json",
      })
      .then(() => (next ? undefined : onDone()));
  const field = (key: string, label: string, grow = false) => (
    <Field
      key={key}
      label={label}
      grow={grow}
      value={draft[key] ?? ""}
      width={grow ? undefined : "130px"}
      onChange={(e) => setDraft({ ...draft, [key]: e.target.value })}
    />
  );
  const answer = fetcher.state === "idle" ? fetcher.data : undefined;
  return (
    <Box borderTopWidth="1.5px" borderColor="ink" pt="10px">
      <chakra.h2 fontSize="16px">Your values</chakra.h2>
      <Box display="flex" gap="8px 14px" flexWrap="wrap">
        {field("name", "Name", true)}
        <Choice
          label="Feeds and depths as"
          value={materialGroups.find((g) => g === draft.group) ?? "steel"}
          options={materialGroups.map((g) => [g, g] as const)}
          onChoose={(g) => setDraft({ ...draft, group: g })}
        />
        {numberFields.map(([key, label]) => field(key, label))}
        {toolMaterials.map((t) => (
          <Box key={t} display="flex" gap="6px">
            {field(`${t}.low`, `${wordsFor.toolMaterial[t]}, m/min from`)}
            {field(`${t}.high`, "to")}
          </Box>
        ))}
        {field("fluid", "Fluid", true)}
        {field("behavior", "How it behaves", true)}
      </Box>
      {answer && !answer.ok && (
        <Notice severity="stop" role="alert">
          Not saved: {answer.problem}. Correct it; what you typed is still here.
        </Notice>
      )}
      {answer?.ok && (
        <Notice severity="good" role="status">
          Saved, and marked as yours. Plans use it.
        </Notice>
      )}
      <Box display="flex" gap="10px" mt="8px" flexWrap="wrap">
        <Button look="strong" onClick={() => send(materialOf(draft, material))}>
          Save as mine
        </Button>
        {own === "changed" && published && (
          <Button onClick={() => send(null)}>Back to the handbook's values</Button>
        )}
        {own === "added" && (
          <Button look="warn" onClick={() => send(null, true)}>
            Remove
          </Button>
        )}
        <Button look="quiet" onClick={onDone}>
          Close
        </Button>
      </Box>
    </Box>
  );
}

import { Box, chakra } from "@chakra-ui/react";
import { blankView, faceNet } from "../../../core/figure/index.ts";
import {
  type Axis,
  axisNames,
  type Face,
  faceNames,
  facesOf,
  type Sizes,
} from "../../../core/frame/index.ts";
import {
  faceConditions,
  materialIn,
  type OwnHandbook,
  stockFormSchema,
  wordsFor,
} from "../../../core/handbook/index.ts";
import { changeOf, sameJson } from "../../../core/job/index.ts";
import type { Plan } from "../../../core/plan/index.ts";
import { type Dimension, mm, quantity, tidy } from "../../../core/quantity/index.ts";
import {
  conditionsFor,
  matchedInOrder,
  rawPiece,
  type Spare,
  spareOf,
  stockPoints,
  waysToLie,
  weightOf,
} from "../../../core/stock/index.ts";
import { longestAxis } from "../../../core/part/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { lengthEntry, NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { ReasonLine, Section, StationTitle, Table } from "../../instruments/section.tsx";
import { StationViews, useStationView } from "../../instruments/station-views.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure } from "../../instruments/words.tsx";
import { BalanceView } from "./balance.tsx";
import { FromBar } from "./from-bar.tsx";
import { Retarget } from "./retarget.tsx";

const verdictWords: Record<Spare["verdict"], string> = {
  enough: "✓ enough",
  tight: "▲ tight",
  short: "■ not enough",
  unmeasured: "○ not measured",
};

/** What have I got, and is it enough? The blank by its sizes; the balance of a lump by points probed on it. */
export function StockStation() {
  const { job, plan, reason, setReason } = useJob();
  const view = useStationView("stock");
  return (
    <>
      {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
      <StationViews station="stock" title={null} to={(to) => `/jobs/${job.id}/stock${to && `/${to}`}`}>
        {view === "balance" ? <BalanceView /> : view === "bar" ? <FromBar /> : <Blank />}
      </StationViews>
    </>
  );
}

/** The blank: its form, its sizes, its faces, and what it has to spare. */
function Blank() {
  const { job, plan, own } = useJob();
  const submit = useSubmit();
  const { stock } = job;
  const ends = plan.target ? longestAxis(plan.target) : "length";
  const setForm = (form: typeof stock.form) =>
    void submit.change([
      changeOf(job, "stock/form", form),
      changeOf(job, "stock/conditions", conditionsFor(form, stock.lies[ends])),
    ]);
  const better = plan.target && plan.spares ? betterWay(stock, plan.target, plan.spares) : null;
  const net =
    plan.raw ??
    rawPiece(
      stock,
      Object.fromEntries(
        axisNames.map((axis) => [axis, spareOf(stock, axis, { lower: 0, upper: 0 })]),
      ) as Record<Axis, Spare>,
    );
  const blank = plan.spares ? blankView(plan.spares, firstFaces(plan)) : null;
  const weights = weightsOf(plan, job.part.material, own);
  const short = plan.spares
    ? axisNames.map((axis) => plan.spares![axis]).filter((s) => s.verdict === "short")
    : [];

  return (
    <>
      <StationTitle above="Stock">What have I got, and is it enough?</StationTitle>
      <Box display="flex" gap="18px" flexWrap="wrap" mb="10px">
        <Choice
          label="Form"
          value={stock.form}
          options={stockFormSchema.options.map((form) => [form, wordsFor.stockForm[form]] as const)}
          onChoose={setForm}
        />
        <Choice
          label="Which way the stock lies"
          value={axisNames.map((a) => stock.lies[a]).join(",")}
          options={waysToLie().map(
            (way) => [axisNames.map((a) => way[a]).join(","), liesWords(way)] as const,
          )}
          onChoose={(text) => {
            const [length, width, height] = text.split(",") as [Axis, Axis, Axis];
            void submit.set("stock/lies", { length, width, height });
          }}
        />
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 280px" }}
        gap="10px 24px"
        alignItems="center"
      >
        {blank ? (
          <FigureView figure={blank} maxHeight="240px" />
        ) : (
          <chakra.p color="quiet" maxW="420px">
            Type what you measured below. Once the drawing (1) has its three sizes too, the part is drawn here
            inside its blank.
          </chakra.p>
        )}
        <FigureView figure={faceNet(net, null)} maxHeight="200px" />
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 280px" }}
        gap="0 24px"
      >
        <Box minW="0">
          {better && (
            <Notice severity="note">
              Turn the stock so its longest size runs along the part's longest: there is more to spare.{" "}
              <Button onClick={() => void submit.set("stock/lies", better)}>Turn the stock</Button>
            </Notice>
          )}
          <Section title="Measured sizes of the stock, at one or more points">
            {axisNames.map((axis) => (
              <Box
                key={axis}
                display="grid"
                gridTemplateColumns={{
                  base: "minmax(0, 1fr) minmax(0, 1fr)",
                  md: "76px repeat(4, minmax(0, 1fr))",
                }}
                gap="6px 10px"
                alignItems="start"
                mb="4px"
              >
                <chakra.b pt={{ md: "6px" }} gridColumn={{ base: "1 / -1", md: "auto" }}>
                  {axis}
                </chakra.b>
                {stockPoints.map((point, i) => (
                  <NumberEntry
                    key={point}
                    hideLabel
                    label={`${axis}, point ${i + 1}`}
                    path={`stock/measured/${axis}/${point}`}
                    kind={lengthEntry}
                    value={stock.measured[axis][point]}
                    width="100%"
                    optional={i > 0}
                    terse
                  />
                ))}
              </Box>
            ))}
          </Section>
          <Bows />
        </Box>
        <Section title="The six faces">
          <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px 12px">
            {faceNames.map((face) => (
              <Choice
                key={face}
                label={face}
                value={stock.conditions[face]}
                options={faceConditions.map((c) => [c, wordsFor.faceCondition[c]] as const)}
                onChoose={(c) => void submit.set(`stock/conditions/${face}`, c)}
              />
            ))}
          </Box>
        </Section>
      </Box>

      <Section title="Spare metal">
        {!plan.spares ? (
          <Notice severity="note">
            Enter the drawing first (1): material and three finished sizes. You can measure the stock
            meanwhile.
          </Notice>
        ) : (
          <>
            <Table
              label="Spare metal"
              figures={[1, 2, 3, 4]}
              head={["size", "smallest", "finished", "skins", "spare", "off the face cut first", "verdict"]}
            >
              {axisNames.map((axis) => {
                const spare = plan.spares![axis];
                const measured = spare.verdict !== "unmeasured";
                return (
                  <tr key={axis}>
                    <th scope="row">{axis}</th>
                    <td>{measured ? <Figure of={mm(spare.smallest)} /> : "—"}</td>
                    <td>
                      <Figure of={mm(spare.target)} />
                    </td>
                    <td>
                      <Figure of={mm(spare.skins)} />
                    </td>
                    <td>
                      {measured ? (
                        <Worked at={`spare#${axis}`}>
                          <Figure of={mm(spare.spare)} />
                        </Worked>
                      ) : (
                        "—"
                      )}
                    </td>
                    <td>
                      {measured
                        ? facesOf(axis).map((face, i) => (
                            <span key={face}>
                              {i > 0 && " · "}
                              {face} <Figure of={mm(spare.first[face] ?? 0)} />
                            </span>
                          ))
                        : "—"}
                    </td>
                    <td>
                      <chakra.b
                        color={
                          spare.verdict === "short"
                            ? "stop"
                            : spare.verdict === "tight"
                              ? "warn"
                              : spare.verdict === "enough"
                                ? "good"
                                : "quiet"
                        }
                      >
                        {verdictWords[spare.verdict]}
                      </chakra.b>
                      {spare.shortfall > 0 && (
                        <>
                          , short by <Figure of={mm(spare.shortfall)} />
                        </>
                      )}
                    </td>
                  </tr>
                );
              })}
            </Table>
            {weights && (
              <chakra.p fontSize="14px" color="quiet" mt="6px">
                The stock weighs about <Figure of={quantity("mass", weights.lump)} />, the part{" "}
                <Figure of={quantity("mass", weights.part)} />.
                {weights.lump > heavy && " Lift it with help or a hoist, and put wood on the table."}
              </chakra.p>
            )}
            <Split />
            <Warnings of={plan.warnings} />
            {short.map((spare) => (
              <Retarget key={spare.axis} spare={spare} />
            ))}
            {axisNames.map((axis) => {
              const retarget = job.retargets[axis];
              return retarget ? (
                <Notice key={axis} severity="warn">
                  The {axis} deviates from the drawing: <Figure of={mm(retarget.size.nominal)} /> instead of{" "}
                  {describe(job.part.sizes[axis])}. {retarget.reason}{" "}
                  <Button onClick={() => void submit.set(`retargets/${axis}`, null)}>
                    Back to the drawing
                  </Button>
                </Notice>
              ) : null;
            })}
            {plan.spareVerdict === "enough" && (
              <Notice severity="good">The stock cleans up to all three sizes. Next: Setups (3).</Notice>
            )}
          </>
        )}
      </Section>
    </>
  );
}

/** Of each pair of faces the one that is cut first. */
function firstFaces(plan: Plan): Record<Axis, Face> {
  const cut = plan.setups.flatMap((s) => s.operations.flatMap((o) => (o.by === "face" ? [o.face] : [])));
  const first = (axis: Axis) => cut.find((face) => facesOf(axis).includes(face)) ?? facesOf(axis)[0];
  return { length: first("length"), width: first("width"), height: first("height") };
}

/** Of a pair the first face is only cleaned up; both may give alike instead, by choice. */
function Split() {
  const { reason } = useJob();
  const route = useOverrides("route");
  const even = route.reportOf("split") !== undefined;
  return (
    <chakra.p fontSize="14px" color="quiet" mt="6px">
      {even
        ? "◆ yours: stock comes off both faces equally. "
        : "The first of two faces is only cleaned up; the second takes the rest. Drawn or rolled stock bows less when both give the same. "}
      <Button
        aria-pressed={even}
        onClick={() =>
          even ? route.takeBack("split") : route.set([["split", "even"]], reason || "by choice")
        }
      >
        {even ? "Only clean up the first" : "Take the same off both"}
      </Button>
    </chakra.p>
  );
}

const liesWords = (way: Record<Axis, Axis>) => {
  const turned = axisNames.filter((axis) => way[axis] !== axis);
  return turned.length === 0
    ? "as measured"
    : turned.map((axis) => `its ${way[axis]} along the ${axis}`).join(", ");
};

const describe = (d: Dimension | null) => (d ? d.written.text : "nothing");

/** From this weight on a lump is not lifted onto the table alone, kg (guess). */
const heavy = 15;

/** Weight of lump and part in kg by the material's density; null while material or sizes are missing. */
function weightsOf(
  plan: Plan,
  materialId: string | null,
  own: OwnHandbook,
): { lump: number; part: number } | null {
  const density = materialId ? materialIn(own, materialId)?.density : undefined;
  if (!density || !plan.raw || !plan.target || plan.spareVerdict === "unmeasured") return null;
  const of = ({ length, width, height }: Sizes) =>
    weightOf({ shape: "plate", length, width, thickness: height }, density)?.mass ?? 0;
  return { lump: of(plan.raw.sizes), part: of(plan.target) };
}

/** A way to lie that gives a better smallest spare than now, or null. */
function betterWay(
  stock: Parameters<typeof spareOf>[0],
  target: Record<Axis, number>,
  now: Record<Axis, Spare>,
): Record<Axis, Axis> | null {
  const way = matchedInOrder(stock, target);
  if (sameJson(way, stock.lies)) return null;
  const least = (spares: Spare[]) => Math.min(...spares.map((s) => tidy(s.spare - s.skins)));
  const then = axisNames.map((axis) => spareOf({ ...stock, lies: way }, axis, now[axis].limits));
  const current = axisNames.map((axis) => now[axis]);
  return current.every((s) => s.verdict !== "unmeasured") && least(then) > least(current) + 0.01 ? way : null;
}

/** How far raw faces are out under a straightedge: the flattest is the first seat. */
function Bows() {
  const { job } = useJob();
  return (
    <Section title="Bow under a straightedge, by the thickest feeler, where you tried">
      <Box display="grid" gridTemplateColumns="repeat(6, minmax(0, 1fr))" gap="2px 6px">
        {faceNames.map((face) => (
          <chakra.span key={face} fontSize="13.5px" color="quiet" aria-hidden="true">
            {face}
          </chakra.span>
        ))}
        {faceNames.map((face) => (
          <NumberEntry
            key={face}
            hideLabel
            label={`bow of the ${face}`}
            path={`stock/bows/${face}`}
            kind={plainLength}
            value={job.stock.bows[face] ?? null}
            width="100%"
            optional
            terse
          />
        ))}
      </Box>
    </Section>
  );
}

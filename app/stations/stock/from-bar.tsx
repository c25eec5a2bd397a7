import { Box, chakra } from "@chakra-ui/react";
import { useId, useState } from "react";
import { Link } from "react-router";
import { barCuts } from "../../../core/figure/index.ts";
import { usualFacing } from "../../../core/handbook/index.ts";
import { changeOf } from "../../../core/job/index.ts";
import { barOffers, type BarOffer, blanksWanted, sawLengthWorking, sawOf } from "../../../core/plan/index.ts";
import { dimensionOf, type LengthUnit, mm, type Mm, quantity } from "../../../core/quantity/index.ts";
import { afterSawing, type Bar, type Claim, freeLength, sectionText } from "../../../core/shop/index.ts";
import {
  type BarBlank,
  conditionsFor,
  givesBlank,
  type NotFromBar,
  type WantedBlank,
} from "../../../core/stock/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { useRack } from "../../instruments/use-rack.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { WorkingSheet } from "../../instruments/workings-margin.tsx";
import { RunOut } from "./run-out.tsx";
import { SawOrMill } from "./saw-or-mill.tsx";

const underlined = { textDecoration: "underline" } as const;

/** From which bar the blanks are sawn, how long, with which blade; what is reserved for the job. */
export function FromBar() {
  const { job, shop, rack, own, plan, unit } = useJob();
  const rackNow = useRack();
  const [asked, setAsked] = useState<string | null>(null);
  const found = barOffers(job, shop, rack, own);
  const saw = sawOf(job, shop);
  const mine = rack.flatMap((bar) =>
    bar.claims.filter((c) => c.jobId === job.id).map((claim) => ({ bar, claim })),
  );
  const fits = found?.offers.filter(givesBlank) ?? [];
  const chosen = fits.find((o) => o.bar.id === asked) ?? fits[0];
  const reserve = (bar: Bar, blank: BarBlank, count: number, kerf: Mm) =>
    rackNow.save(
      "bars",
      bar,
      {
        ...bar,
        claims: [
          ...bar.claims,
          { id: newId(), jobId: job.id, jobName: job.name, each: blank.sawLength, kerf, count },
        ],
      },
      `${count} reserved of ${bar.name}.`,
    );
  return (
    <>
      <StationTitle above="Stock">What is it sawn from?</StationTitle>
      <Settings />
      {rackNow.refused && (
        <Notice severity="warn" role="alert">
          {"theirs" in rackNow.refused
            ? "The bar was changed in another tab meanwhile. Nothing was saved: look at it again."
            : rackNow.refused.findings.map((f) => <Words key={f.key} of={f.phrase} />)}
        </Notice>
      )}
      {mine.length > 0 && (
        <Section title="Reserved for this job">
          {mine.map(({ bar, claim }) => (
            <Reserved key={claim.id} bar={bar} claim={claim} busy={rackNow.busy} save={rackNow.save} />
          ))}
        </Section>
      )}
      {!found ? (
        <Notice severity="note">
          Enter the drawing first (1): material and finished sizes. Then the rack is searched for a bar.
        </Notice>
      ) : rack.every((bar) => bar.retired) ? (
        <Notice severity="note">
          The rack is empty.{" "}
          <Link to="/shop/bars" style={underlined}>
            Enter the bars and off-cuts you have
          </Link>
          , and the best one is found here.
        </Notice>
      ) : (
        <>
          {chosen && (
            <Chosen
              offer={chosen as BarOffer & { of: BarBlank }}
              wanted={found.wanted}
              count={found.count}
              unit={unit}
            />
          )}
          {blanksWanted(job, rack) === 0 && (
            <Notice severity="good">
              Every blank of this job is reserved or sawn. What stands here is for one more.
            </Notice>
          )}
          <Section title={`The rack, for ${found.count} ${found.count === 1 ? "blank" : "blanks"}`}>
            {fits.length === 0 && (
              <Notice severity="warn" role="status">
                No bar here gives a blank. The nearest come first, with what they lack.
              </Notice>
            )}
            <Table
              label="Bars"
              figures={[2, 3, 4]}
              maxH="300px"
              head={["bar", "section", "free", "saw length", "gives", "", ""]}
            >
              {found.offers.map((offer) => (
                <BarRow
                  key={offer.bar.id}
                  offer={offer}
                  chosen={offer === chosen}
                  count={found.count}
                  busy={rackNow.busy}
                  onLook={() => setAsked(offer.bar.id)}
                  onReserve={(blank, n) => reserve(offer.bar, blank, n, found.wanted.kerf)}
                />
              ))}
            </Table>
          </Section>
          {saw && chosen?.cut && <Warnings of={chosen.cut.warnings} />}
        </>
      )}
      <SawOrMill />
      {plan.cutBegun && mine.length === 0 ? null : <RunOut />}
    </>
  );
}

/** With which saw, and what is left to mill at each end. */
function Settings() {
  const { job, shop } = useJob();
  const submit = useSubmit();
  const saws = shop.saws.filter((s) => !s.retired || s.id === job.blank.saw);
  const saw = sawOf(job, shop);
  return (
    <Box display="flex" gap="18px" flexWrap="wrap" alignItems="flex-start" mb="6px">
      {saws.length > 0 ? (
        <Choice
          label="Sawn with"
          value={saw?.id ?? ""}
          options={saws.map((s) => [s.id, s.name] as const)}
          onChoose={(id) => void submit.set("blank/saw", id)}
        />
      ) : (
        <chakra.p color="quiet" maxW="420px">
          No saw is entered, so a cut is taken as usual.{" "}
          <Link to="/shop/saws" style={underlined}>
            Enter your saw
          </Link>{" "}
          for blade, speed and time.
        </chakra.p>
      )}
      <NumberEntry
        label="Left to mill at each end"
        path="blank/facing"
        kind={plainLength}
        value={job.blank.facing ?? usualFacing}
        width="110px"
      />
    </Box>
  );
}

/** The bar that is looked at, with its cuts, and how its saw length comes about. */
function Chosen({
  offer,
  wanted,
  count,
  unit,
}: {
  offer: BarOffer & { of: BarBlank };
  wanted: WantedBlank;
  count: number;
  unit: LengthUnit;
}) {
  const { job } = useJob();
  const { bar, of: blank, cut } = offer;
  const laid = Math.min(count, blank.gives);
  const others = bar.claims.flatMap((c) =>
    Array.from({ length: c.count }, () => ({ name: c.jobName || "other", length: c.each })),
  );
  const blanks = [
    ...others,
    ...Array.from({ length: laid }, (_, i) => ({ name: String(i + 1), length: blank.sawLength })),
  ];
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 340px" }}
      gap="6px 24px"
      alignItems="start"
    >
      <Box minW="0">
        <chakra.h2 fontSize="17px" mb="2px">
          {bar.name}
          {bar.where && `, ${bar.where}`}
        </chakra.h2>
        <FigureView figure={barCuts(bar.name, bar, blanks, wanted.kerf)} />
        <chakra.p fontSize="15px">
          The {blank.along} of the part lies along the bar. Set the stop at{" "}
          <b>
            <Figure of={mm(blank.sawLength)} />
          </b>{" "}
          and saw {laid}.
          {cut && (
            <>
              {" "}
              {cut.blade !== null && (
                <>
                  Blade of <b>{cut.blade}</b> teeth an inch,{" "}
                </>
              )}
              {cut.speed !== null && (
                <>
                  <b>
                    <Figure of={quantity("cuttingSpeed", cut.speed)} />
                  </b>
                  ,{" "}
                </>
              )}
              about <Figure of={quantity("time", cut.minutes.least)} /> to{" "}
              <Figure of={quantity("time", cut.minutes.most)} /> a cut.
            </>
          )}
        </chakra.p>
        <chakra.p fontSize="13.5px" color="quiet" mt="4px">
          Eye protection, no gloves at the blade, clamp the bar on both sides of the cut where the saw lets
          you. A sawn piece is hot and has a burr: file its edges before it goes into a vise.
        </chakra.p>
        <UseAsBlank bar={bar} blank={blank} named={job.name} unit={unit} />
      </Box>
      <WorkingSheet working={sawLengthWorking(blank, wanted, count)} />
    </Box>
  );
}

/** Enters the sizes of a flat as those of the blank, where nobody measured one. */
function UseAsBlank({
  bar,
  blank,
  named,
  unit,
}: {
  bar: Bar;
  blank: BarBlank;
  named: string;
  unit: LengthUnit;
}) {
  const { job } = useJob();
  const submit = useSubmit();
  if (bar.section !== "flat") return null;
  const sizes = {
    [blank.along]: blank.sawLength,
    [blank.across.wide]: bar.across,
    [blank.across.thick]: bar.thick,
  };
  const empty = Object.values(job.stock.measured).every((points) => Object.values(points).every((p) => !p));
  const entry = (value: Mm) => ({ value, written: dimensionOf(value, unit).written });
  return (
    <chakra.p mt="6px" fontSize="14px" color="quiet">
      <Button
        aria-label={`Enter these sizes as the blank of ${named || "this job"}`}
        onClick={() =>
          void submit.change([
            changeOf(job, "stock/form", bar.form),
            changeOf(job, "stock/lies", { length: "length", width: "width", height: "height" }),
            changeOf(job, "stock/conditions", conditionsFor(bar.form, blank.along)),
            ...Object.entries(sizes).map(([axis, value]) =>
              changeOf(job, `stock/measured/${axis}/p1`, entry(value)),
            ),
          ])
        }
      >
        Enter these sizes as the blank
      </Button>{" "}
      {empty ? "Measure it after sawing." : "In place of the first point of each size; can be undone."}
    </chakra.p>
  );
}

const lacks = (of: NotFromBar) => {
  switch (of.why) {
    case "material":
      return "another material";
    case "round":
      return "no round: the part is a shaft";
    case "section":
      return (
        <>
          too small across by <Figure of={mm(of.short)} />
        </>
      );
    case "length":
      return (
        <>
          too short by <Figure of={mm(of.short)} />
        </>
      );
  }
};

function BarRow({
  offer,
  chosen,
  count,
  busy,
  onLook,
  onReserve,
}: {
  offer: BarOffer;
  chosen: boolean;
  count: number;
  busy: boolean;
  onLook: () => void;
  onReserve: (blank: BarBlank, count: number) => void;
}) {
  const { bar } = offer;
  const id = useId();
  const n = givesBlank(offer) ? Math.min(count, offer.of.gives) : 0;
  return (
    <tr>
      <th scope="row" id={id}>
        {bar.name}
        {bar.offcut && <chakra.span color="quiet"> off-cut</chakra.span>}
      </th>
      <td>
        <Words of={sectionText(bar)} />
      </td>
      <td>
        <Figure of={mm(Math.max(0, freeLength(bar)))} />
      </td>
      {givesBlank(offer) ? (
        <>
          <td>
            <Figure of={mm(offer.of.sawLength)} />
          </td>
          <td>{offer.of.gives}</td>
          <td className="no-print">
            <Button look="quiet" aria-pressed={chosen} aria-describedby={id} onClick={onLook}>
              {chosen ? "shown" : "look at it"}
            </Button>
          </td>
          <td className="no-print">
            <Button disabled={busy} aria-describedby={id} onClick={() => onReserve(offer.of, n)}>
              Reserve {n}
            </Button>
          </td>
        </>
      ) : (
        <>
          <td>–</td>
          <td>0</td>
          <td colSpan={2}>
            <chakra.span color="quiet">{lacks(offer.of as NotFromBar)}</chakra.span>
          </td>
        </>
      )}
    </tr>
  );
}

/** Blanks that wait to be sawn: sawn, they are off the bar, and what is left goes back into the rack. */
function Reserved({
  bar,
  claim,
  busy,
  save,
}: {
  bar: Bar;
  claim: Claim;
  busy: boolean;
  save: ReturnType<typeof useRack>["save"];
}) {
  const sawn = afterSawing(bar, claim.id);
  const left = sawn && !sawn.kept.retired ? sawn.kept : null;
  return (
    <Box display="flex" gap="12px" flexWrap="wrap" alignItems="center" py="4px" borderTopWidth="1px">
      <chakra.span flex="1" minW="220px">
        <b>{claim.count}</b> of <Figure of={mm(claim.each)} /> from {bar.name}
        {bar.where && `, ${bar.where}`}.{" "}
        {left ? (
          <>
            Left after that: <Figure of={mm(left.length)} />.
          </>
        ) : (
          "Nothing worth keeping is left of it."
        )}
      </chakra.span>
      <Button
        look="strong"
        disabled={busy || !sawn}
        onClick={() => save("bars", bar, sawn!.kept, `${claim.count} sawn off ${bar.name}.`)}
      >
        Sawn
      </Button>
      <Button
        disabled={busy}
        onClick={() =>
          save(
            "bars",
            bar,
            { ...bar, claims: bar.claims.filter((c) => c.id !== claim.id) },
            `${bar.name} is free again.`,
          )
        }
      >
        Free it
      </Button>
    </Box>
  );
}

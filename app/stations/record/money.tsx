import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { changeOf, type PriceTerm } from "../../../core/job/index.ts";
import {
  type BoughtCost,
  boughtCost,
  type CostTerm,
  hourlyRate,
  type MakeCost,
  makeCost,
  type MakeOrBuyFound,
  makeOrBuyOf,
  rangeOfTerm,
} from "../../../core/plan/index.ts";
import { quantity } from "../../../core/quantity/index.ts";
import { words } from "../../../core/working/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Chart, type ChartColors } from "../../instruments/chart.tsx";
import { Check } from "../../instruments/check.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { type EntryKind, NumberEntry, numberEntry } from "../../instruments/number-entry.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useOrdered } from "../../instruments/use-ordered.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure } from "../../instruments/words.tsx";
import { WorkingSheet } from "../../instruments/workings-margin.tsx";

const rateTold = words("A rate is above zero: how many of the other make one of ours.");
const moneyEntry: EntryKind<number> = numberEntry("money");
/** A rate of nothing makes nothing of a price. */
const rateEntry: EntryKind<number> = {
  ...moneyEntry,
  parse: (text, unit) => {
    const read = moneyEntry.parse(text, unit);
    return read.ok && !(read.value > 0) ? { ok: false, problem: rateTold } : read;
  },
};
const termNames: Record<CostTerm["name"], string> = {
  material: "material",
  machine: "machine hours",
  labor: "a person's hours",
  cutters: "cutters, by their life",
  tools: "tools to buy",
};

/** What the job costs made here and bought, what is left out of either, and which term decides. */
export function MoneyView() {
  const { job, plan, shop, rack } = useJob();
  const make = makeCost(job, plan, shop, rack);
  const buy = boughtCost(job);
  const rate = hourlyRate(job, shop);
  const found = buy && makeOrBuyOf(job, make, buy, { rate });
  return (
    <>
      <StationTitle above="Record">Make it, or buy it?</StationTitle>
      {found && buy && <Verdict found={found} make={make} buy={buy} />}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1fr)" }}
        gap="0 26px"
      >
        <Made make={make} />
        <Bought buy={buy} />
      </Box>
      {buy && <Terms />}
      {found && buy && <Crossing make={make} buy={buy} pieces={job.quantity} />}
    </>
  );
}

/** An amount in the job's money. */
function Money({ of }: { of: number }) {
  const { job } = useJob();
  return (
    <>
      <Figure of={quantity("money", of)} />
      {job.quote.currency && ` ${job.quote.currency}`}
    </>
  );
}

/** An amount, and the same in the other currency where there is one. */
function BothMoney({ low, high }: { low: number; high: number }) {
  const { job } = useJob();
  const { second } = job.quote;
  return (
    <>
      <Money of={low} />
      {high > low + 0.005 && (
        <>
          {" "}
          to <Money of={high} />
        </>
      )}
      {second?.rate && (
        <chakra.span color="quiet">
          {" "}
          ({(low * second.rate).toFixed(2)}
          {high > low + 0.005 && ` to ${(high * second.rate).toFixed(2)}`} {second.currency})
        </chakra.span>
      )}
    </>
  );
}

function Verdict({ found, make, buy }: { found: MakeOrBuyFound; make: MakeCost; buy: BoughtCost }) {
  return (
    <Notice severity="note">
      <b>
        {found.cheaper === "make"
          ? "Making is cheaper"
          : found.cheaper === "buy"
            ? "Buying is cheaper"
            : "It may go either way"}
      </b>
      : made <Money of={make.total} />, bought <BothMoney low={buy.low} high={buy.high} />.{" "}
      {found.decides && (
        <>
          Most of what making costs is {termNames[found.decides.name]}, <Money of={found.decides.amount} />
          .{" "}
        </>
      )}
      {found.hours && (
        <>
          Making pays up to <Figure of={quantity("time", found.hours.low * 60)} /> of work; planned are{" "}
          <Figure of={quantity("time", make.minutes)} />.{" "}
        </>
      )}
      {found.from !== null && found.from > 1 && <>From {found.from} pieces on making is cheaper. </>}
      {make.missing.length > 0 &&
        `Not entered, and counted as nothing: ${make.missing.map((m) => termNames[m]).join(", ")}.`}
    </Notice>
  );
}

/** What making costs, term by term with their workings. */
function Made({ make }: { make: MakeCost }) {
  const { job } = useJob();
  const { quote } = job;
  return (
    <Section title={`Made here, ${make.pieces} ${make.pieces === 1 ? "piece" : "pieces"}`}>
      <Box display="flex" gap="8px 14px" flexWrap="wrap" alignItems="flex-start" className="no-print">
        <TextEntry label="Currency" path="quote/currency" value={quote.currency} />
        <NumberEntry
          label="A person's hour"
          path="quote/labor"
          kind={moneyEntry}
          value={quote.labor}
          width="110px"
          optional
        />
        <NumberEntry
          label="Material a piece"
          path="quote/material"
          kind={moneyEntry}
          value={quote.material}
          width="110px"
          optional
        />
        <NumberEntry
          label="Tools to buy"
          path="quote/tools"
          kind={moneyEntry}
          value={quote.tools}
          width="110px"
          optional
        />
      </Box>
      <Table label="What making costs" figures={[1]} head={["term", "amount", ""]}>
        {make.terms.map((term) => (
          <tr key={term.name}>
            <th scope="row">{termNames[term.name]}</th>
            <td>
              <Money of={term.amount} />
            </td>
            <td>
              <chakra.details fontSize="14px">
                <summary>working</summary>
                <WorkingSheet working={term.working} />
              </chakra.details>
            </td>
          </tr>
        ))}
        {make.missing.map((name) => (
          <tr key={name}>
            <th scope="row">{termNames[name]}</th>
            <td>–</td>
            <td>
              <chakra.span color="quiet">{missingWords(name)}</chakra.span>
            </td>
          </tr>
        ))}
        <tr>
          <th scope="row">in all</th>
          <td>
            <b>
              <Money of={make.total} />
            </b>
          </td>
          <td>
            <BothMoney low={make.pieces > 0 ? make.total / make.pieces : 0} high={0} /> a piece
          </td>
        </tr>
      </Table>
    </Section>
  );
}

const missingWords = (name: CostTerm["name"]) =>
  name === "machine" ? (
    <>
      enter what an hour costs{" "}
      <Link to="/shop/machines" style={{ textDecoration: "underline" }}>
        in the Shop
      </Link>
    </>
  ) : name === "cutters" ? (
    <>
      enter price and life of the cutters{" "}
      <Link to="/shop/cutters" style={{ textDecoration: "underline" }}>
        in the Shop
      </Link>
    </>
  ) : name === "material" ? (
    "enter it, or reserve a bar that has a price"
  ) : (
    "not entered"
  );

/** What it costs bought: the price, then its terms in their order, each to be switched off or moved. */
function Bought({ buy }: { buy: BoughtCost | null }) {
  const { job } = useJob();
  const { quote } = job;
  return (
    <Section title={`Bought, ${job.quantity} ${job.quantity === 1 ? "piece" : "pieces"}`}>
      <Box display="flex" gap="8px 14px" flexWrap="wrap" alignItems="flex-start" className="no-print">
        <NumberEntry
          label="Price of one"
          path="quote/buy/each"
          kind={moneyEntry}
          value={quote.buy.each}
          width="110px"
          optional
        />
        <TextEntry label="Asked of" path="quote/buy/from" value={quote.buy.from} />
        <TextEntry label="On" path="quote/buy/on" value={quote.buy.on} type="date" />
        <TextEntry label="The price leaves out" path="quote/buy/without" value={quote.buy.without} />
      </Box>
      {quote.buy.each === null ? (
        <chakra.p color="quiet" mt="6px">
          Enter a price that was asked for, and the two are compared.
        </chakra.p>
      ) : null}
      {buy && <Chain buy={buy} />}
      {buy && quote.buy.without && (
        <Notice severity="warn">
          The price leaves out: {quote.buy.without}. Ask, or add it as a term with low and high.
        </Notice>
      )}
      <Second />
    </Section>
  );
}

/** What leads from the price to what is paid, in its order; each can be switched off or moved. */
function Terms() {
  const { job } = useJob();
  const submit = useSubmit();
  const list = useOrdered("quote/terms");
  const { quote } = job;
  const { byId, order } = quote.terms;
  const terms = order.flatMap((id) => byId[id] ?? []);
  const move = (id: string, by: -1 | 1) => {
    const at = order.indexOf(id);
    const next = order.filter((other) => other !== id);
    next.splice(Math.max(0, at + by), 0, id);
    void submit.set("quote/terms/order", next);
  };
  const add = (given: Partial<PriceTerm>) => {
    const id = newId();
    list.add(id, { id, name: "", what: "percent", off: false, low: 0, high: 0, counts: true, ...given });
  };
  return (
    <Section title="Terms of the price, in the order they count">
      <Box as="ul" listStyleType="none" mt="6px">
        {terms.map((term) => (
          <Term
            key={term.id}
            term={term}
            onMove={(by) => move(term.id, by)}
            onRemove={() => list.remove(term.id)}
          />
        ))}
      </Box>
      <Box display="flex" gap="8px" flexWrap="wrap" className="no-print" mt="4px">
        <Button onClick={() => add({ name: "discount", off: true })}>Discount</Button>
        <Button onClick={() => add({ name: "shipping", what: "amount" })}>Shipping</Button>
        <Button onClick={() => add({ name: "duty" })}>Duty</Button>
        <Button onClick={() => add({ name: "tax" })}>Tax</Button>
        <Button onClick={() => add({ name: "surcharge", what: "amount" })}>Surcharge</Button>
      </Box>
    </Section>
  );
}

function Term({
  term,
  onMove,
  onRemove,
}: {
  term: PriceTerm;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}) {
  const submit = useSubmit();
  const at = `quote/terms/byId/${term.id}`;
  return (
    <Box
      as="li"
      display="flex"
      gap="6px 10px"
      flexWrap="wrap"
      alignItems="flex-start"
      borderTopWidth="1px"
      py="5px"
    >
      <TextEntry label="Term" path={`${at}/name`} value={term.name} />
      <Choice
        label="Is"
        value={`${term.what} ${term.off ? "off" : "on"}`}
        options={[
          ["percent on", "percent on top"],
          ["percent off", "percent off"],
          ["amount on", "amount on top"],
          ["amount off", "amount off"],
        ]}
        onChoose={(is) => {
          const [what, way] = is.split(" ") as [PriceTerm["what"], "on" | "off"];
          void submit.set(at, { ...term, what, off: way === "off" });
        }}
      />
      <NumberEntry label="Low" path={`${at}/low`} kind={moneyEntry} value={term.low} width="80px" terse />
      <NumberEntry
        label="High"
        path={`${at}/high`}
        kind={moneyEntry}
        value={rangeOfTerm(term)[1]}
        width="80px"
        terse
      />
      <Box display="flex" gap="6px 10px" alignItems="center" pt="20px">
        <Check checked={term.counts} onCheck={(on) => void submit.set(`${at}/counts`, on)}>
          counts
        </Check>
        <Button look="quiet" aria-label={`${term.name} earlier`} onClick={() => onMove(-1)}>
          up
        </Button>
        <Button look="quiet" aria-label={`${term.name} later`} onClick={() => onMove(1)}>
          down
        </Button>
        <Button look="quiet" aria-label={`Remove ${term.name}`} onClick={onRemove}>
          remove
        </Button>
      </Box>
    </Box>
  );
}

/** Every step from the price to what is paid. */
function Chain({ buy }: { buy: BoughtCost }) {
  const { job } = useJob();
  const named = (term: PriceTerm | null) =>
    term === null
      ? `price × ${job.quantity}`
      : `${term.name || "term"}, ${term.off ? "less" : "plus"} ${term.low}${term.high > term.low ? ` to ${term.high}` : ""}${term.what === "percent" ? " % of that" : ""}`;
  return (
    <Table label="From the price to what is paid" figures={[1, 2]} head={["step", "at least", "at most"]}>
      {buy.steps.map(({ term, low, high }, i) => (
        <tr key={term?.id ?? i}>
          <th scope="row">{named(term)}</th>
          <td>
            <Money of={low} />
          </td>
          <td>
            <Money of={high} />
          </td>
        </tr>
      ))}
      <tr>
        <th scope="row">in all</th>
        <td colSpan={2}>
          <b>
            <BothMoney low={buy.low} high={buy.high} />
          </b>
        </td>
      </tr>
    </Table>
  );
}

/** Another currency with its rate and the day of it. */
function Second() {
  const { job } = useJob();
  const submit = useSubmit();
  const { second } = job.quote;
  if (!second)
    return (
      <Box mt="8px" className="no-print">
        <Button
          look="quiet"
          onClick={() => void submit.set("quote/second", { currency: "", rate: null, on: "" })}
        >
          Show it in another currency too
        </Button>
      </Box>
    );
  return (
    <Box display="flex" gap="8px 14px" flexWrap="wrap" alignItems="flex-start" mt="8px" className="no-print">
      <TextEntry label="Other currency" path="quote/second/currency" value={second.currency} />
      <NumberEntry
        label="How many for one of ours"
        path="quote/second/rate"
        kind={rateEntry}
        value={second.rate}
        width="120px"
        optional
      />
      <TextEntry label="Rate of" path="quote/second/on" value={second.on} type="date" />
      <Box pt="18px">
        <Button look="quiet" onClick={() => void submit.change([changeOf(job, "quote/second", null)])}>
          remove
        </Button>
      </Box>
    </Box>
  );
}

/** Cost over the number of pieces, made and bought: where the lines cross making begins to pay. */
function Crossing({ make, buy, pieces }: { make: MakeCost; buy: BoughtCost; pieces: number }) {
  const most = Math.max(10, pieces * 2);
  const bought = (n: number, total: number) => (total / pieces) * n;
  const option = (c: ChartColors) => {
    const text = { color: c.ink, fontSize: 12 };
    const series = (name: string, color: string, of: (n: number) => number, dashed = false) => ({
      name,
      type: "line",
      showSymbol: false,
      lineStyle: { color, width: 2, ...(dashed ? { type: "dashed" } : {}) },
      itemStyle: { color },
      data: Array.from({ length: most }, (_, i) => [i + 1, Number(of(i + 1).toFixed(2))]),
    });
    return {
      animation: false,
      grid: { left: 56, right: 16, top: 30, bottom: 34 },
      legend: { textStyle: text, top: 0 },
      xAxis: {
        type: "value",
        min: 1,
        max: most,
        name: "pieces",
        nameLocation: "middle",
        nameGap: 22,
        axisLabel: text,
        nameTextStyle: text,
      },
      yAxis: { type: "value", axisLabel: text },
      series: [
        series("made", c.accent, (n) => make.fixed + make.each * n),
        series("bought, at least", c.warn, (n) => bought(n, buy.low)),
        ...(buy.high > buy.low + 0.005
          ? [series("bought, at most", c.warn, (n) => bought(n, buy.high), true)]
          : []),
      ],
    };
  };
  return (
    <Section title="Cost by number of pieces">
      <Chart label="Cost of making and of buying by number of pieces" height={190} option={option} />
    </Section>
  );
}

import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import {
  type BoughtCost,
  boughtCost,
  type CostTerm,
  hourlyRate,
  type MakeCost,
  makeCost,
  type MakeOrBuyFound,
  makeOrBuyOf,
} from "../../../core/plan/index.ts";
import { quantity } from "../../../core/quantity/index.ts";
import { Chart, type ChartColors } from "../../instruments/chart.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { NumberEntry } from "../../instruments/number-entry.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { Figure } from "../../instruments/words.tsx";
import { BothMoney, Money, moneyEntry } from "./amounts.tsx";
import { Bought, Terms } from "./bought.tsx";
import { WorkingSheet } from "../../instruments/workings-margin.tsx";

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
  const rate = hourlyRate(job, plan.setups, shop);
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
      {found.hours && (
        <chakra.details fontSize="14px" mt="4px">
          <summary>Working of the hours</summary>
          <WorkingSheet working={found.hours.working} />
        </chakra.details>
      )}
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

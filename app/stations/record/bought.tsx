import { Box, chakra } from "@chakra-ui/react";
import { changeOf, type PriceTerm } from "../../../core/job/index.ts";
import { type BoughtCost, rangeOfTerm } from "../../../core/plan/index.ts";
import { words } from "../../../core/working/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Check } from "../../instruments/check.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { type EntryKind, NumberEntry } from "../../instruments/number-entry.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useOrdered } from "../../instruments/use-ordered.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { BothMoney, Money, moneyEntry } from "./amounts.tsx";

const rateTold = words("A rate is above zero: how many of the other make one of ours.");
/** A rate of nothing makes nothing of a price. */
const rateEntry: EntryKind<number> = {
  ...moneyEntry,
  parse: (text, unit) => {
    const read = moneyEntry.parse(text, unit);
    return read.ok && !(read.value > 0) ? { ok: false, problem: rateTold } : read;
  },
};

/** What it costs bought: the price, then its terms in their order, each to be switched off or moved. */
export function Bought({ buy }: { buy: BoughtCost | null }) {
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
export function Terms() {
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

import { chakra } from "@chakra-ui/react";
import { quantity } from "../../../core/quantity/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { type EntryKind, numberEntry } from "../../instruments/number-entry.tsx";
import { Figure } from "../../instruments/words.tsx";

export const moneyEntry: EntryKind<number> = numberEntry("money");

/** An amount in the job's money. */
export function Money({ of }: { of: number }) {
  const { job } = useJob();
  return (
    <>
      <Figure of={quantity("money", of)} />
      {job.quote.currency && ` ${job.quote.currency}`}
    </>
  );
}

/** An amount, and the same in the other currency where there is one. */
export function BothMoney({ low, high }: { low: number; high: number }) {
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

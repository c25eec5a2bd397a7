import { chakra } from "@chakra-ui/react";
import { type LengthUnit, type Mm, parseQuantity } from "../../core/quantity/index.ts";
import { entryProblem, type Phrase } from "../../core/working/index.ts";
import { Words } from "./words.tsx";

/** What a typed length says: nothing yet, a length in mm, or why it is none. */
export interface TypedLength {
  value: Mm | null;
  problem: Phrase | null;
}

/** What a length may be. */
export interface LengthAsked {
  unit: LengthUnit;
  signed?: boolean;
  may: (value: Mm) => boolean;
  /** What to do where it is out of that. */
  told: Phrase;
}

/** Reads a length that is typed and kept nowhere until it is sent. */
export function readLength(text: string, { unit, signed = false, may, told }: LengthAsked): TypedLength {
  if (text.trim() === "") return { value: null, problem: null };
  const read = parseQuantity(text, "length", unit, signed);
  if (!read.ok) return { value: null, problem: entryProblem(read.problem) };
  return may(read.value) ? { value: read.value, problem: null } : { value: null, problem: told };
}

/** Why what was typed is no such length; what was typed stays. */
export const LengthProblem = ({ of }: { of: Pick<TypedLength, "problem"> | undefined }) =>
  of?.problem ? (
    <chakra.p color="stop" role="status">
      <Words of={of.problem} />
    </chakra.p>
  ) : null;

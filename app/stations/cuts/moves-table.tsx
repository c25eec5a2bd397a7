import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import { cutsWords } from "../../../core/figure/index.ts";
import { settleAt } from "../../../core/locate/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import type { Stroke } from "../../../core/recipes/index.ts";
import type { Machine } from "../../../core/shop/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Table } from "../../instruments/section.tsx";
import { Figure } from "../../instruments/words.tsx";

/** What is done, in a word or two. */
const kindWords = { go: "go to", down: "down", feed: "feed to", in: "in to" } as const;

/** Every move with its places as they can be set; pointing at one shows it in the plan view. */
export function MovesTable({
  moves,
  machine,
  at,
  onAt,
}: {
  moves: readonly Stroke[];
  machine: Machine;
  at: number | null;
  onAt: (at: number | null) => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? moves : moves.slice(0, 24);
  const place = (move: Stroke, axis: "x" | "y" | "z") => {
    const to = move.to[axis];
    if (to === undefined) return null;
    const { stop, dial } = settleAt(to, machine.axes[axis]);
    return (
      <>
        <b>
          <Figure of={mm(stop)} />
        </b>
        {machine.axes[axis].readout === null && dial && (
          <chakra.span color="quiet" fontSize="12px">
            {" "}
            {dial.turns} t {dial.divisions} d
          </chakra.span>
        )}
      </>
    );
  };
  return (
    <>
      <Table
        label="Moves of this operation"
        figures={[2, 3, 4]}
        maxH="420px"
        head={["", "do", "X", "Y", "Z", "how", "within"]}
      >
        {shown.map((move) => (
          <chakra.tr
            key={move.number}
            bg={move.number === at ? "accentSoft" : "transparent"}
            onMouseEnter={() => onAt(move.number)}
            onMouseLeave={() => onAt(null)}
          >
            <td>{move.number}</td>
            <td>
              <chakra.button
                type="button"
                textDecoration="underline"
                cursor="pointer"
                aria-pressed={move.number === at}
                onFocus={() => onAt(move.number)}
                onClick={() => onAt(move.number)}
              >
                {kindWords[move.kind]}
              </chakra.button>
            </td>
            <td>{place(move, "x")}</td>
            <td>{place(move, "y")}</td>
            <td>{place(move, "z")}</td>
            <td>
              {move.cuts !== "air" && cutsWords[move.cuts]}
              {move.notPast && move.kind !== "down" ? ", not past" : ""}
            </td>
            <td>
              <Figure of={mm(move.exact)} />
            </td>
          </chakra.tr>
        ))}
      </Table>
      {moves.length > shown.length && (
        <Button onClick={() => setAll(true)}>Show all {moves.length} moves</Button>
      )}
    </>
  );
}

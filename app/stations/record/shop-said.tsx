import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { type BiasName, biasWords } from "../../../core/handbook/index.ts";
import { over100 } from "../../../core/inspect/index.ts";
import type { ShopBias, TellingBlock } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import type { CheckId } from "../../../core/shop/index.ts";
import { capital } from "../../../core/working/index.ts";
import { Notice } from "../../instruments/notice.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { Figure } from "../../instruments/words.tsx";

/** The test that tells a bias by itself. */
const tests: Partial<Record<BiasName, CheckId>> = {
  jawSquare: "check-jaw-upright",
  jawLine: "check-jaw-line",
  bedAcross: "check-bed",
  bedAlong: "check-bed",
  tramAlong: "check-tram",
  tramAcross: "check-tram",
  square: "reversal",
};

/** What the pieces that were read at their corners say of vise, table and head; nothing where none was. */
export function ShopSaid({ of: found, next }: { of: readonly ShopBias[]; next: TellingBlock | null }) {
  if (found.length === 0) return null;
  return (
    <Section title="What these pieces say of vise and machine">
      <Table
        label="Errors of vise and machine by the pieces"
        figures={[1, 2]}
        head={["", "over 100 mm", "±", "", ""]}
      >
        {found.map((b) => (
          <tr key={b.name}>
            <th scope="row">{capital(biasWords[b.name])}</th>
            <td>
              <Figure of={mm(over100(b.slope))} decimals={3} />
            </td>
            <td>
              <Figure of={mm(2 * over100(b.sigma))} decimals={3} />
            </td>
            <td>
              {b.told
                ? "clear from these pieces"
                : b.mixedWith.length > 0
                  ? `cannot be told from ${b.mixedWith.map((n) => biasWords[n as BiasName]).join("; ")}`
                  : "not enough yet: read more pieces at their corners"}
            </td>
            <td className="no-print" style={{ whiteSpace: "nowrap" }}>
              {tests[b.name] && (
                <Link to={`/sums/${tests[b.name]}`} style={{ textDecoration: "underline" }}>
                  Try it
                </Link>
              )}
            </td>
          </tr>
        ))}
      </Table>
      {next && (
        <Notice severity="note">
          <NextPiece of={next} />
        </Notice>
      )}
      <chakra.p fontSize="13px" color="quiet" mt="4px">
        Least squares over the slopes of every size read at its corners, and every named corner read with the
        way it is out, against what is usual (guess). Pieces cut once more or scrapped do not count.
      </chakra.p>
    </Section>
  );
}

/** How to cut the next pieces so that they tell more. */
function NextPiece({ of: { pieces, otherwise, read, tells } }: { of: TellingBlock }) {
  const sizes = `Read the ${read.join(" and the ")} at the four corners`;
  const many = pieces === 1 ? "one piece" : `${pieces} pieces`;
  return (
    <>
      <b>
        To know more, cut {many} more{otherwise ? " so:" : " as before."}
      </b>{" "}
      {otherwise && (
        <>
          in setup {otherwise.clamping}, {otherwise.face} up,{" "}
          {otherwise.change === "twoLanes"
            ? "cut in two lanes with a narrower cutter"
            : `hold it turned half round, the ${otherwise.change.turned} at the fixed jaw`}
          , all else as before.{" "}
        </>
      )}
      {sizes}. That tells {tells.map((name) => biasWords[name]).join("; ")}.
    </>
  );
}

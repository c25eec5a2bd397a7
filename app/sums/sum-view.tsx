import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { Form, Link, useNavigate, useSearchParams, useSubmit } from "react-router";
import { decimalsIn, type LengthUnit, type Quantity, showQuantity } from "../../core/quantity/index.ts";
import {
  type Answer,
  type Field,
  isChoice,
  type ReadField,
  type Sum,
  sumById,
  sumGroups,
  textsIn,
  type WorkedSum,
} from "../../core/sums/index.ts";
import { phraseText } from "../../core/working/index.ts";
import { TopLine } from "../frame/top-line.tsx";
import { Button } from "../instruments/button.tsx";
import { Input, Labeled, Select } from "../instruments/field.tsx";
import { FigureView } from "../instruments/figure-view.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { SideList } from "../instruments/side-list.tsx";
import { Notice } from "../instruments/notice.tsx";
import { Table } from "../instruments/section.tsx";
import { WorkingSheet } from "../instruments/workings-margin.tsx";
import { KeepCheck } from "./keep-check.tsx";
import { EntryAngle } from "../instruments/entry-angle.tsx";

const addressOf = (sum: Sum, unit: LengthUnit, texts: Record<string, string>) =>
  `/sums/${sum.id}?${new URLSearchParams({ ...texts, unit }).toString()}`;

/** One sum: fields, results, working. A plain form: it works without script, and its address is a bookmark. */
export function SumView({ worked }: { worked: WorkedSum }) {
  const sum = sumById(worked.id)!;
  const submit = useSubmit();
  const navigate = useNavigate();
  const [unit] = useUnit();
  const { answer } = worked;
  const [params] = useSearchParams();
  // What is being typed runs ahead of the address.
  const [typed, setTyped] = useState<{ unit: LengthUnit; texts: Record<string, string> }>({
    unit,
    texts: {},
  });
  const texts = typed.unit === worked.unit ? typed.texts : {};
  // The unit switch rewrites what stands in the fields; a bookmark keeps the unit it was made in until it is switched.
  const lastUnit = useRef<LengthUnit | null>(params.has("unit") ? unit : null);
  useEffect(() => {
    if (unit === lastUnit.current) return;
    lastUnit.current = unit;
    if (unit === worked.unit) return;
    void navigate(addressOf(sum, unit, textsIn(sum, worked, unit)), { replace: true });
  }, [unit, worked, sum, navigate]);
  return (
    <>
      <TopLine place={`Sums: ${sum.title.toLowerCase()}`} />
      <Box display="flex" flexDirection={{ base: "column", md: "row" }}>
        <SideList
          label="Sums"
          chosen={sum.id}
          dense
          rooms={sumGroups.flatMap(([about, sums]) =>
            sums.map(({ id, title }, i) => ({
              id,
              to: `/sums/${id}`,
              name: title,
              ...(i === 0 ? { under: about } : {}),
            })),
          )}
        />
        <Box as="main" flex="1" minW="0" px={{ base: "14px", md: "24px" }} py="16px">
          <chakra.h1 fontSize={{ base: "20px", md: "24px" }}>{sum.title}</chakra.h1>
          <chakra.p color="quiet" mb="12px">
            {sum.what}
          </chakra.p>
          <Box
            display="grid"
            gap="18px 32px"
            gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(240px, 320px) minmax(0, 1fr)" }}
          >
            <Form
              method="get"
              onChange={(e) => void submit(e.currentTarget, { replace: true, preventScrollReset: true })}
            >
              <input type="hidden" name="unit" value={worked.unit} />
              <Box
                display="grid"
                gap="0 12px"
                gridTemplateColumns={sum.fields.length > 8 ? "1fr 1fr" : "minmax(0, 1fr)"}
                alignItems="start"
              >
                {sum.fields.map((field) => (
                  <SumEntry
                    key={field.key}
                    field={field}
                    read={worked.fields.find((f) => f.key === field.key)!}
                    unit={worked.unit}
                    text={texts[field.key]}
                    onType={(text) => setTyped({ unit: worked.unit, texts: { ...texts, [field.key]: text } })}
                  />
                ))}
              </Box>
              <Button type="submit" look="strong" className="no-print" mt="6px">
                Work it out
              </Button>{" "}
              <Link
                to={`/sums/${sum.id}`}
                reloadDocument
                style={{ textDecoration: "underline" }}
                className="no-print"
              >
                Start over
              </Link>
            </Form>
            <Box minW="0">
              {worked.refusal && (
                <Notice severity="stop" role="status">
                  {phraseText(worked.refusal.reason, worked.unit)}{" "}
                  {phraseText(worked.refusal.suggestion, worked.unit)}
                </Notice>
              )}
              {!answer && !worked.refusal && (
                <Notice severity="note" role="status">
                  A field cannot be read: what is wrong is shown under it.
                </Notice>
              )}
              {sum.keeps && <KeepCheck sum={sum} worked={worked} />}
              {answer && <Results answer={answer} unit={worked.unit} />}
              {sum.id === "chip-thickness" && <EntryAngle />}
            </Box>
          </Box>
        </Box>
      </Box>
    </>
  );
}

function SumEntry({
  field,
  read,
  unit,
  text: typed,
  onType,
}: {
  field: Field;
  read: ReadField;
  unit: LengthUnit;
  text?: string | undefined;
  onType: (text: string) => void;
}) {
  const id = `sum-${field.key}`;
  const text = typed ?? read.text;
  const said = read.problem ?? read.understood;
  return (
    <Labeled label={field.label} htmlFor={id} mb="4px">
      {isChoice(field) ? (
        <Select id={id} name={field.key} value={text} width="100%" onChange={(e) => onType(e.target.value)}>
          {field.options.map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </Select>
      ) : (
        <Input
          figure
          id={id}
          name={field.key}
          value={text}
          onChange={(e) => onType(e.target.value)}
          width="100%"
          maxLength={40}
          aria-invalid={read.problem !== null}
          aria-describedby={`${id}-said`}
        />
      )}
      <chakra.div
        id={`${id}-said`}
        fontSize="12.5px"
        minH="18px"
        color={read.problem ? "stop" : "quiet"}
        role={isChoice(field) ? undefined : "status"}
      >
        {read.problem && <span aria-hidden="true">■ </span>}
        {said ? phraseText(said, unit) : ""}
        {field.help && !read.problem && <span> {field.help}</span>}
      </chakra.div>
    </Labeled>
  );
}

function Results({ answer, unit }: { answer: Answer; unit: LengthUnit }) {
  const show = (q: Quantity, decimals?: number) => showQuantity(q, unit, decimalsIn(q, unit, decimals));
  const [first, ...rest] = answer.figures;
  return (
    <Box aria-live="polite">
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1.1fr)" }}
        gap="6px 20px"
        borderTopWidth="2px"
        borderColor="ink"
        pt="6px"
        mb="8px"
      >
        {first && (
          <Box>
            <chakra.div fontSize="14px" color="quiet">
              {first.label}
            </chakra.div>
            <chakra.div
              fontSize={{ base: "38px", md: "48px" }}
              fontWeight="700"
              lineHeight="1.1"
              data-testid="result"
            >
              {show(first.value, first.decimals)}
            </chakra.div>
          </Box>
        )}
        {answer.drawing && <FigureView figure={answer.drawing} maxHeight="260px" />}
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: "1fr 1fr", lg: "repeat(4, 1fr)" }} gap="0 18px">
        {rest.map((f) => (
          <Box key={f.label} borderTopWidth="1px" borderColor="ink" py="5px">
            <chakra.div fontSize="13px" color="quiet">
              {f.label}
            </chakra.div>
            <chakra.div fontSize="20px" fontWeight="700">
              {show(f.value, f.decimals)}
            </chakra.div>
          </Box>
        ))}
      </Box>
      {answer.warnings.map((w, i) => (
        <Notice key={i} severity={w.severity}>
          {phraseText(w.phrase, unit)}
        </Notice>
      ))}
      {answer.rows && (
        <Table label="Rows" head={answer.rows.head} figures={answer.rows.head.map((_, i) => i)} maxH="300px">
          {answer.rows.of.map((row, i) => (
            <tr key={i}>
              {row.map((q, j) => (
                <td key={j}>{show(q, q.kind === "length" ? 3 : undefined)}</td>
              ))}
            </tr>
          ))}
        </Table>
      )}
      <Box mt="16px" maxW="520px">
        <WorkingSheet
          unit={unit}
          working={{ key: "sum", title: { parts: ["Working"] }, limits: [], notes: [], ...answer.working }}
        />
      </Box>
    </Box>
  );
}

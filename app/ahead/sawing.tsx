import { Box, chakra } from "@chakra-ui/react";
import { Printer } from "lucide-react";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { barCuts } from "../../core/figure/index.ts";
import { materialIn } from "../../core/handbook/index.ts";
import type { Job } from "../../core/job/index.ts";
import {
  blanksWanted,
  jobOfBlank,
  type JobToSaw,
  reservedBars,
  type SawingGroup,
  type SawingList,
  wantsBlank,
} from "../../core/plan/index.ts";
import { mm, type Mm } from "../../core/quantity/index.ts";
import { sectionText } from "../../core/shop/index.ts";
import { say } from "../../core/working/index.ts";
import { type Equipment, newId } from "../../store/index.ts";
import { Button } from "../instruments/button.tsx";
import { Check } from "../instruments/check.tsx";
import { Field } from "../instruments/field.tsx";
import { FigureView } from "../instruments/figure-view.tsx";
import { Icon } from "../instruments/icon.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { Notice } from "../instruments/notice.tsx";
import { Section, StationTitle, Table } from "../instruments/section.tsx";
import { LengthProblem, readLength } from "../instruments/typed-length.tsx";
import { useRack } from "../instruments/use-rack.ts";
import { Figure, Words } from "../instruments/words.tsx";
import { askSawing } from "../planner/use-plan.ts";

const underlined = { textDecoration: "underline" } as const;
const canTrim = (value: Mm) => value >= 0 && value <= 200;
const trimTold = say`It is 0 to ${mm(200)}.`;

/** Blanks of several jobs sawn from the bars of the rack with the least of them opened. */
export function Sawing({ jobs, equipment: { shop, rack, own } }: { jobs: Job[]; equipment: Equipment }) {
  const [unit] = useUnit();
  const open = jobs.filter((job) => blanksWanted(job, rack) > 0);
  const [asked, setAsked] = useState<ReadonlySet<string>>(
    () => new Set(open.filter(wantsBlank).map((job) => job.id)),
  );
  const [trimText, setTrim] = useState("");
  const trim = readLength(trimText, { unit, may: canTrim, told: trimTold });
  const rackNow = useRack();
  const chosen = open.filter((job) => asked.has(job.id));
  const [found, setFound] = useState<SawingList | null>(null);
  const trimmed = trim.value ?? 0;
  useEffect(() => {
    let current = true;
    void askSawing(chosen, shop, rack, own, trimmed)
      .then((list) => {
        if (current) setFound(list);
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [chosen, shop, rack, own, trimmed]);
  const reserveAll = () => {
    if (!found) return;
    rackNow.saveAll(
      found.groups.flatMap((group) => reservedBars(group, found.jobs, found.kerf, newId)),
      "The bars are reserved.",
    );
  };
  return (
    <>
      <StationTitle above="Work ahead">What is sawn from which bar?</StationTitle>
      {jobs.length === 0 && (
        <Notice severity="note">
          There is no job on the bench.{" "}
          <Link to="/" style={underlined}>
            Make one
          </Link>{" "}
          first.
        </Notice>
      )}
      {rack.every((bar) => bar.retired) && (
        <Notice severity="note">
          The rack is empty.{" "}
          <Link to="/shop/bars" style={underlined}>
            Enter the bars and off-cuts you have.
          </Link>
        </Notice>
      )}
      {open.length > 0 && (
        <Box className="no-print" display="flex" gap="6px 22px" flexWrap="wrap" alignItems="flex-end">
          <Box as="fieldset">
            <chakra.legend fontSize="14px" color="quiet">
              Jobs to saw for
            </chakra.legend>
            <Box display="flex" gap="2px 18px" flexWrap="wrap">
              {open.map((job) => (
                <Check
                  key={job.id}
                  checked={asked.has(job.id)}
                  onCheck={(on) =>
                    setAsked((now) => new Set(on ? [...now, job.id] : [...now].filter((id) => id !== job.id)))
                  }
                >
                  {job.name || "Unnamed job"}, {blanksWanted(job, rack)}
                </Check>
              ))}
            </Box>
          </Box>
          <Field
            label="Sawn off the end of each bar first"
            value={trimText}
            placeholder="0"
            width="120px"
            inputMode="decimal"
            onChange={(e) => setTrim(e.target.value)}
          />
          <LengthProblem of={trim} />
        </Box>
      )}
      {rackNow.refused && (
        <Notice severity="warn" role="alert">
          {"theirs" in rackNow.refused
            ? "A bar was changed in another tab meanwhile. Nothing was reserved: look at the list again."
            : rackNow.refused.findings.map((f) => <Words key={f.key} of={f.phrase} />)}
        </Notice>
      )}
      {found && chosen.length === 0 && open.length > 0 && (
        <Notice severity="note">
          Tick the jobs that need a blank. Those with a measured blank have theirs.
        </Notice>
      )}
      {found?.jobs
        .filter((j) => j.from.length === 0)
        .map((j) => (
          <NoBar key={j.job.id} of={j} />
        ))}
      {found?.groups.map((group) => (
        <Group
          key={group.like.id}
          group={group}
          list={found}
          long={longestIn(found)}
          materialName={materialIn(own, group.like.material)?.name}
        />
      ))}
      {found?.missing.map(({ jobId, length, count }) => (
        <Notice key={jobId} severity="warn">
          No bar is left for {count} × <Figure of={mm(length)} /> of {nameIn(found, jobId)}: buy one, or saw
          fewer.
        </Notice>
      ))}
      {found && found.groups.length > 0 && (
        <Box className="no-print" display="flex" gap="10px" mt="12px">
          <Button
            look="strong"
            disabled={rackNow.busy || found.groups.every((g) => g.cut.length === 0)}
            onClick={reserveAll}
          >
            Reserve all of it
          </Button>
          <Button onClick={() => print()}>
            <Icon of={Printer} /> Print with labels
          </Button>
        </Box>
      )}
      <Reservations rack={rack} />
      {found && <Labels list={found} />}
    </>
  );
}

function NoBar({ of: { job, lacks } }: { of: JobToSaw }) {
  return (
    <Notice severity="warn">
      {job.name || "Unnamed job"}:{" "}
      {!lacks ? (
        <>
          its drawing has no material or lacks a size.{" "}
          <Link to={`/jobs/${job.id}/drawing`} style={underlined}>
            Complete it
          </Link>
          .
        </>
      ) : lacks.of.why === "section" || lacks.of.why === "length" ? (
        <>
          no bar gives a blank. The nearest is {lacks.bar.name},{" "}
          {lacks.of.why === "section" ? "too small across" : "too short"} by{" "}
          <Figure of={mm(lacks.of.short)} />.
        </>
      ) : (
        "there is no bar of its material in the rack."
      )}
    </Notice>
  );
}

/** Bars of one section with what is sawn from each. */
function Group({
  group,
  list,
  long,
  materialName,
}: {
  group: SawingGroup;
  list: SawingList;
  /** The longest bar of all that are shown, mm. */
  long: Mm;
  materialName: string | undefined;
}) {
  const { like, cut, opened, bound } = group;
  const nameOf = (jobId: string) => nameIn(list, jobId);
  return (
    <Section
      title={
        <>
          <Words of={sectionText(like)} />, {materialName ?? like.material}
        </>
      }
    >
      {cut.map(({ bar, blanks, drop }) => (
        <Box key={bar.id} mb="4px" breakInside="avoid">
          <chakra.p fontSize="14.5px">
            <b>{bar.name}</b>
            {bar.where && `, ${bar.where}`}:{" "}
            {countedBy(blanks.map((b) => ({ name: nameOf(jobOfBlank(b.id)), length: b.length }))).map(
              ({ name, length, count }, i) => (
                <span key={`${name} ${length}`}>
                  {i > 0 && ", "}
                  {count} × <Figure of={mm(length)} /> {name}
                </span>
              ),
            )}
            . Left: <Figure of={mm(drop)} />.
          </chakra.p>
          <Box width={`${(100 * bar.length) / long}%`}>
            <FigureView
              figure={barCuts(
                bar.name,
                { length: bar.length, across: bar.across },
                blanks.map((b) => ({ name: nameOf(jobOfBlank(b.id)), length: b.length })),
                list.kerf,
                { trim: list.trim, long, leftTold: false },
              )}
            />
          </Box>
        </Box>
      ))}
      {cut.length > 0 && (
        <chakra.p fontSize="14px" color="quiet">
          Bars opened: <Figure of={mm(opened)} />.{" "}
          {opened > bound + 0.01 ? (
            <>
              No way opens less than <Figure of={mm(bound)} />.
            </>
          ) : (
            "No way opens less."
          )}
        </chakra.p>
      )}
    </Section>
  );
}

const nameIn = ({ jobs }: SawingList, jobId: string): string =>
  jobs.find((j) => j.job.id === jobId)?.job.name || "unnamed";

const longestIn = ({ groups }: SawingList): Mm =>
  Math.max(1, ...groups.flatMap((g) => g.cut.map((c) => c.bar.length)));

const countedBy = (blanks: readonly { name: string; length: Mm }[]) => {
  const found: { name: string; length: Mm; count: number }[] = [];
  for (const { name, length } of blanks) {
    const same = found.find((f) => f.name === name && f.length === length);
    if (same) same.count++;
    else found.push({ name, length, count: 1 });
  }
  return found;
};

/** What is reserved already, by bar: sawn in Stock of its job. */
function Reservations({ rack }: { rack: Equipment["rack"] }) {
  const reserved = rack.filter((bar) => bar.claims.length > 0);
  if (reserved.length === 0) return null;
  return (
    <Section title="Reserved already">
      <Table label="Reserved already" head={["bar", "for", "blanks", "each"]} figures={[2, 3]}>
        {reserved.flatMap((bar) =>
          bar.claims.map((claim) => (
            <tr key={claim.id}>
              <th scope="row">{bar.name}</th>
              <td>
                <Link to={`/jobs/${claim.jobId}/stock/bar`} style={underlined}>
                  {claim.jobName || "unnamed job"}
                </Link>
              </td>
              <td>{claim.count}</td>
              <td>
                <Figure of={mm(claim.each)} />
              </td>
            </tr>
          )),
        )}
      </Table>
    </Section>
  );
}

/** A label for every blank, on paper only: to be cut out and tied on. */
function Labels({ list }: { list: SawingList }) {
  const labels = list.groups.flatMap((group) =>
    group.cut.flatMap(({ bar, blanks }) => blanks.map((blank) => ({ bar, blank }))),
  );
  return (
    <Box
      display="none"
      _print={{ display: "grid" }}
      gridTemplateColumns="1fr 1fr 1fr"
      gap="4mm"
      mt="8mm"
      aria-hidden="true"
    >
      {labels.map(({ bar, blank }) => (
        <Box key={blank.id} borderWidth="1px" p="2mm" fontSize="11pt" breakInside="avoid">
          <b>{list.jobs.find((j) => j.job.id === jobOfBlank(blank.id))?.job.name}</b>{" "}
          {blank.id.slice(blank.id.lastIndexOf("#"))}
          <br />
          <Words of={sectionText(bar)} />, <Figure of={mm(blank.length)} />
          <br />
          {bar.name}
        </Box>
      ))}
    </Box>
  );
}

import { Box, chakra } from "@chakra-ui/react";
import { type MachineOption, type MachineSplit } from "../../../core/plan/index.ts";
import { quantity } from "../../../core/quantity/index.ts";
import { counted } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { LongWork } from "../../instruments/long-work.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { useLongWork } from "../../instruments/use-long-work.ts";
import { useMachines } from "./use-machines.ts";
import { Figure, Words } from "../../instruments/words.tsx";

/** Which machine suits each face and feature: minutes of its cuts, the least of them marked. */
function ByMachine({ found }: { found: readonly MachineOption[] }) {
  const keys = [...new Set(found.flatMap((m) => m.of.map((o) => o.key)))];
  if (keys.length === 0 || found.length < 2) return null;
  const at = (m: MachineOption, key: string) => m.of.find((o) => o.key === key);
  return (
    <Section title="Which machine suits which cut">
      <Table
        label="Which machine suits which cut"
        maxH="300px"
        figures={found.map((_, i) => i + 1)}
        head={["cut", ...found.map((m) => m.name)]}
      >
        {keys.map((key) => {
          const all = found.map((m) => at(m, key)?.minutes ?? null);
          const least = Math.min(...all.filter((m) => m !== null));
          const name = found.map((m) => at(m, key)?.name).find((n) => n !== undefined);
          return (
            <tr key={key}>
              <th scope="row">{name && <Words of={name} />}</th>
              {all.map((minutes, i) => (
                <td key={found[i]!.id}>
                  {minutes === null ? (
                    <chakra.span color="quiet">not there</chakra.span>
                  ) : (
                    <>
                      {minutes === least && "✓ "}
                      <Figure of={quantity("time", minutes)} />
                    </>
                  )}
                </td>
              ))}
            </tr>
          );
        })}
      </Table>
    </Section>
  );
}

/** The job begun on one machine and gone on with on another, where that beats both alone. */
function OnTwo({
  splits,
  found,
  disabled,
  onSplit,
}: {
  splits: readonly MachineSplit[];
  found: readonly MachineOption[];
  disabled: boolean;
  onSplit: (split: MachineSplit) => void;
}) {
  const { plan } = useJob();
  const called = (id: string) => found.find((m) => m.id === id)?.name ?? id;
  const planned = (split: MachineSplit) => {
    const carried = plan.setups.filter((s) => s.carried);
    return (
      carried.length === 1 &&
      carried[0]!.machine === split.then &&
      carried[0]!.operations.some((o) => o.key === split.from)
    );
  };
  if (splits.length === 0)
    return (
      <chakra.p fontSize="14px" color="quiet" mt="8px">
        Carried from one machine to another on the way it would take longer, and no more of it could be done.
      </chakra.p>
    );
  return (
    <Section title="On two machines">
      <Table
        label="On two machines"
        figures={[1, 2]}
        head={["begun on, then", "in all", "setups", "what is carried there", ""]}
      >
        {splits.map((split) => (
          <tr key={`${split.first} ${split.then}`}>
            <th scope="row">
              {called(split.first)}, from setup {split.number} on {called(split.then)}
            </th>
            <td>
              <Figure of={quantity("time", split.minutes)} />
            </td>
            <td>{split.clampings}</td>
            <td>
              {split.refused > 0 && (
                <chakra.p color="stop">{counted(split.refused, "feature")} cannot be cut so either.</chakra.p>
              )}
              Setup {split.number}: <Words of={split.title} /> {split.cutters.join(", ")}.
            </td>
            <td className="no-print">
              {planned(split) ? (
                <b>planned so</b>
              ) : (
                <Button disabled={disabled} onClick={() => onSplit(split)}>
                  Plan it so
                </Button>
              )}
            </td>
          </tr>
        ))}
      </Table>
    </Section>
  );
}

/** The job on each machine of the shop: what it takes there, what cannot be done, what to carry over. */
export function MachinesCompared() {
  const { plan, compareMachines, stopMachines } = useJob();
  const machines = useMachines();
  const { found: compared, progress, stopped, again } = useLongWork(plan, compareMachines);
  const found = compared?.machines;
  // In the middle of a setup the part stays where it is clamped.
  const now = plan.steps[plan.current];
  const inSetup =
    now !== undefined && plan.steps.some((s) => s.setup === now.setup && s.ticks.some((t) => t.done));
  const best = found?.find((m) => m.minutes !== null);
  return (
    <>
      <StationTitle above="Setups">On which machine?</StationTitle>
      {!found && (
        <LongWork
          says={
            progress
              ? `Planning on each machine, then on two of them: ${counted(progress.done, "plan")} made`
              : "Planning on every machine"
          }
          done={null}
          stopped={stopped ? { says: "Stopped.", again: "Compare the machines" } : null}
          onStop={stopMachines}
          onAgain={again}
        />
      )}
      {found && plan.cutBegun && inSetup && (
        <Notice severity="note">
          Setup {now.setup} is under way. Finish it here; at the break before the next one the rest can go to
          another machine.
        </Notice>
      )}
      {found && (
        <>
          <Table
            label="Machines"
            figures={[1, 2]}
            head={["machine", "in all", "setups", "what speaks for or against it", ""]}
          >
            {found.map((m) => (
              <tr key={m.id}>
                <th scope="row">{m.name}</th>
                <td>{m.minutes === null ? "–" : <Figure of={quantity("time", m.minutes)} />}</td>
                <td>{m.clampings || "–"}</td>
                <td>
                  {m.minutes === null && m.cannot.length === 0 && "Nothing is planned yet. "}
                  {m.cannot.slice(0, 2).map((why, i) => (
                    <chakra.p key={i} color="stop">
                      <Words of={why} />
                    </chakra.p>
                  ))}
                  {m.cannot.length > 2 && <chakra.p color="stop">and {m.cannot.length - 2} more</chakra.p>}
                  {m.minutes !== null &&
                    m.stops.slice(0, 1).map((why, i) => (
                      <chakra.p key={i} color="warn">
                        <Words of={why} />
                      </chakra.p>
                    ))}
                  {m === best && "The quickest of those that can do all of it. "}
                  It has <Words of={m.reads} />.
                </td>
                <td className="no-print">
                  {m.chosen ? (
                    <b>planned here</b>
                  ) : (
                    <Button
                      disabled={machines.busy || (plan.cutBegun && inSetup)}
                      onClick={() => machines.allOn(m.id)}
                    >
                      {plan.cutBegun ? "Move the rest there" : "Plan it there"}
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </Table>
          <OnTwo
            splits={compared.splits}
            found={found}
            disabled={machines.busy || (plan.cutBegun && inSetup)}
            onSplit={machines.split}
          />
          <ByMachine found={found} />
          <Section title="To carry over">
            <Box fontSize="15px">
              {found
                .filter((m) => m.minutes !== null)
                .map((m) => (
                  <chakra.p key={m.id} mb="4px">
                    <b>{m.name}:</b> {m.cutters.join(", ")}; the vise with its parallels, the instruments, the
                    drawing.
                  </chakra.p>
                ))}
            </Box>
            <chakra.p fontSize="14px" color="quiet">
              Carried half-way, a part loses every zero and the stop: the vise is indicated there, the part
              placed and picked up anew. That time is counted. Measure what is cut already before the first
              cut there, and pick up from those faces.
            </chakra.p>
          </Section>
        </>
      )}
    </>
  );
}

import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useEffectEvent, useState } from "react";
import { Form, Link, useFetcher, useNavigate } from "react-router";
import { largestJobFile } from "../../core/exchange/index.ts";
import { say, type Phrase, words } from "../../core/working/index.ts";
import type { Imported, JobCard } from "../../store/index.ts";
import { setFinding } from "../find/find-state.ts";
import { KeysSheet } from "../frame/keys-sheet.tsx";
import { doors, TopLine } from "../frame/top-line.tsx";
import { sayDone } from "../instruments/done.ts";
import { Button } from "../instruments/button.tsx";
import { Choice } from "../instruments/choice.tsx";
import { Field } from "../instruments/field.tsx";
import { useKeyboard } from "../instruments/keyboard.ts";
import { useSingleKeys, useUnit } from "../instruments/local-setting.ts";
import { FileChoice } from "../instruments/file-choice.tsx";
import { LookChoice } from "../instruments/look-choice.tsx";
import { Notice } from "../instruments/notice.tsx";
import { Section, StationTitle } from "../instruments/section.tsx";
import { Words } from "../instruments/words.tsx";
import { demoJobIds } from "./demo-job-ids.ts";
import { JobLine } from "./job-line.tsx";
import { useGlances } from "./use-glances.ts";

const when = (iso: string) => new Date(iso).toLocaleString([], { dateStyle: "medium", timeStyle: "short" });
/** Rows drawn at first; a long list is searched rather than scrolled. */
const shownAtFirst = 60;
const archivedAtFirst = 10;

const orders = [
  ["changed", "last change"],
  ["name", "name"],
  ["left", "time left"],
] as const;
type Order = (typeof orders)[number][0];

/** All jobs of this browser: open, make, import, archive. */
export function BenchView({ jobs, deleted }: { jobs: JobCard[]; deleted: JobCard[] }) {
  const [search, setSearch] = useState("");
  const [all, setAll] = useState(false);
  const [allArchived, setAllArchived] = useState(false);
  const [help, setHelp] = useState(false);
  const [unit, setUnit] = useUnit();
  const [single] = useSingleKeys();
  const fetcher = useFetcher();
  useKeyboard(
    {
      u: ["mm or inch", () => setUnit(unit === "mm" ? "in" : "mm")],
      "?": ["this sheet", () => setHelp(true)],
    },
    { single: single === "on", onInstrument: () => undefined },
  );
  const [order, setOrder] = useState<Order>("changed");
  const [asked, setTag] = useState<string | null>(null);
  const tags = [...new Set(jobs.flatMap((job) => job.tags ?? []))].sort((a, b) => a.localeCompare(b));
  // A tag that no job has any more hides none.
  const tag = asked !== null && tags.includes(asked) ? asked : null;
  const wanted = search.trim().toLowerCase();
  const has = (job: JobCard) =>
    `${job.name} ${job.sheet} ${(job.tags ?? []).join(" ")}`.toLowerCase().includes(wanted);
  const found = jobs.filter((job) => has(job) && (tag === null || job.tags?.includes(tag)));
  const inOrder = order === "name" ? [...found].sort((a, b) => a.name.localeCompare(b.name)) : found;
  const shown = all ? inOrder : inOrder.slice(0, shownAtFirst);
  const glances = useGlances(shown);
  const stateOf = (job: JobCard) => glances.get(job.id)?.glance.state ?? "planned";
  const left = (job: JobCard) => glances.get(job.id)?.glance.left ?? Infinity;
  const byLeft = (a: JobCard, b: JobCard) =>
    order === "left" && left(a) !== left(b) ? left(a) - left(b) : 0;
  const groups = (["in work", "planned", "finished"] as const)
    .map((name) => ({ name, jobs: shown.filter((job) => stateOf(job) === name).sort(byLeft) }))
    .filter((group) => group.jobs.length > 0);
  const archived = deleted.filter(has);
  const act = (intent: string, id: string, more: { [name: string]: string } = {}) =>
    void fetcher.submit({ intent, id, ...more }, { method: "post", action: "/?index" });
  return (
    <>
      <TopLine place="Bench" onHelp={() => setHelp(true)} />
      <Box
        as="nav"
        aria-label="Rooms"
        hideFrom="lg"
        display="flex"
        gap="4px"
        px="10px"
        bg="band"
        borderBottomWidth="1px"
      >
        {doors.map(([to, name]) => (
          <DoorLink
            key={to}
            to={to}
            px="10px"
            minH="44px"
            display="inline-flex"
            alignItems="center"
            fontWeight="600"
          >
            {name}
          </DoorLink>
        ))}
        <Button look="quiet" onClick={() => setFinding(true)} css={{ minHeight: "44px" }}>
          Find
        </Button>
      </Box>
      <Box as="main" maxW="1120px" mx="auto" px={{ base: "14px", md: "24px" }} py="20px">
        <StationTitle above="Bench">
          {jobs.length === 0 ? "What are you making?" : "On the bench"}
        </StationTitle>
        {jobs.length === 0 && (
          <chakra.p mb="16px" fontSize="17px" maxW="640px">
            Firm Arbor plans how to square a block and mill it to the drawing, walks you through the cuts at
            the machine, and keeps the record.
          </chakra.p>
        )}
        <Box display="flex" gap="14px" flexWrap="wrap" alignItems="flex-end" mb="14px">
          <Form method="post" action="/?index">
            <input type="hidden" name="intent" value="create" />
            <Box display="flex" gap="8px" alignItems="flex-end">
              <Field label="New job" name="name" maxLength={120} placeholder="part name" />
              <Button type="submit" look="strong">
                Create
              </Button>
            </Box>
          </Form>
          {demoJobIds.some((id) => !jobs.some((job) => job.id === id)) && (
            <fetcher.Form method="post" action="/?index">
              <input type="hidden" name="intent" value="demo" />
              <Button type="submit" look={jobs.length === 0 ? "plain" : "quiet"}>
                {jobs.length === 0 ? "Load the demo jobs" : "Demo jobs"}
              </Button>
            </fetcher.Form>
          )}
          <ImportJob />
          {jobs.length > 1 && (
            <Box ml={{ md: "auto" }} display="flex" gap="10px" alignItems="flex-end" flexWrap="wrap">
              <Field
                label="Search"
                type="search"
                value={search}
                width="180px"
                onChange={(e) => setSearch(e.target.value)}
              />
              <Choice label="Sorted by" value={order} options={orders} onChoose={setOrder} />
            </Box>
          )}
        </Box>
        {tags.length > 0 && (
          <Box display="flex" gap="8px" flexWrap="wrap" alignItems="center" mb="6px">
            <chakra.span fontSize="13.5px" color="quiet">
              tags
            </chakra.span>
            {tags.map((name) => (
              <Button
                key={name}
                look={tag === name ? "strong" : "plain"}
                aria-pressed={tag === name}
                onClick={() => setTag(tag === name ? null : name)}
              >
                {name}
              </Button>
            ))}
          </Box>
        )}
        {groups.map(({ name, jobs: mine }) => (
          <Section key={name} title={name}>
            <Box as="ul" listStyleType="none" role="list" data-testid="jobs">
              {mine.map((job) => (
                <JobLine
                  key={job.id}
                  job={job}
                  kept={glances.get(job.id)}
                  when={when(job.changed)}
                  onCopy={() => act("copy", job.id)}
                  onTags={(text) => act("tags", job.id, { tags: text })}
                  onArchive={() => {
                    act("delete", job.id);
                    sayDone(`${job.name || "Unnamed job"} archived.`, () => act("restore", job.id));
                  }}
                />
              ))}
            </Box>
          </Section>
        ))}
        {found.length === 0 && jobs.length > 0 && (
          <Notice severity="note">
            No job{tag !== null && ` tagged "${tag}"`} has "{search}" in its name, sheet or tags.
          </Notice>
        )}
        {found.length > shown.length && <Button onClick={() => setAll(true)}>Show all {found.length}</Button>}
        {archived.length > 0 && (
          <Section title="Archived">
            {(allArchived ? archived : archived.slice(0, archivedAtFirst)).map((job) => (
              <Box key={job.id} display="flex" gap="12px" alignItems="center" py="4px">
                <span>{job.name}</span>
                <Button onClick={() => act("restore", job.id)} aria-label={`Bring back ${job.name}`}>
                  Bring back
                </Button>
              </Box>
            ))}
            {!allArchived && archived.length > archivedAtFirst && (
              <Button onClick={() => setAllArchived(true)}>Show all {archived.length} archived</Button>
            )}
          </Section>
        )}
        <Box mt="26px" mb="10px">
          <LookChoice />
        </Box>
        <chakra.p fontSize="13.5px" color="quiet" maxW="680px">
          Firm Arbor advises. Your machine's manual, the shop's rules and a qualified instructor come first.
          Jobs are saved in this browser only: export them for a backup.{" "}
          {!isSecureContext &&
            "Opened over plain http: this page will not load offline, and the screen may go dark at the machine."}
        </chakra.p>
      </Box>
      {help && <KeysSheet onClose={() => setHelp(false)} />}
    </>
  );
}

const DoorLink = chakra(Link);

/** More than this many new things are counted, not named. */
const mostNamed = 6;

const saidTooLarge = (file: File): Phrase =>
  say`${file.name} has ${Math.round(file.size / 1e6)} MB; a job file has at most ${largestJobFile / 1e6} MB. Nothing was changed.`;

/** Import of a job file: what is wrong is said and where; a known job with other decisions is asked about. */
function ImportJob() {
  const fetcher = useFetcher<{ imported: Imported }>();
  const navigate = useNavigate();
  const [text, setText] = useState("");
  const [tooLarge, setTooLarge] = useState<Phrase | null>(null);
  const imported = fetcher.data?.imported;
  const send = (content: string, onDiffer: string) =>
    void fetcher.submit({ intent: "import", text: content, onDiffer }, { method: "post", action: "/?index" });
  const choose = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > largestJobFile) {
      setTooLarge(saidTooLarge(file));
      return;
    }
    setTooLarge(null);
    const content = await file.text();
    setText(content);
    send(content, "ask");
  };
  // A file dropped anywhere on the bench is imported.
  const dropped = useEffectEvent((file: File | undefined) => void choose(file));
  useEffect(() => {
    const over = (event: DragEvent) => event.preventDefault();
    const drop = (event: DragEvent) => {
      event.preventDefault();
      dropped(event.dataTransfer?.files[0]);
    };
    addEventListener("dragover", over);
    addEventListener("drop", drop);
    return () => {
      removeEventListener("dragover", over);
      removeEventListener("drop", drop);
    };
  }, []);
  const problem =
    tooLarge ??
    (imported?.kind === "refused" ? { parts: [imported.reason, " ", imported.suggestion] } : null);
  const goodWords: Partial<Record<Imported["kind"], Phrase>> = {
    added: words("The job is on the bench."),
    same: words("This job is already here, the same as in the file."),
    merged: words("New entries from the file were added."),
  };
  const good = imported && !tooLarge ? goodWords[imported.kind] : undefined;
  return (
    <Box
      flexBasis={problem || imported?.kind === "differs" || imported?.kind === "archived" ? "100%" : "auto"}
    >
      <FileChoice
        label="Import a job file"
        accept=".json,application/json"
        onChoose={(file) => void choose(file)}
      />
      {problem && (
        <Notice severity="stop" role="alert">
          <Words of={problem} />
        </Notice>
      )}
      {good && imported && "jobId" in imported && (
        <Notice severity="good" role="status">
          <Words of={good} />{" "}
          {"added" in imported && imported.added.length > 0 && (
            <>
              New in the shop:{" "}
              {imported.added.length > mostNamed
                ? `${imported.added.length} things`
                : imported.added.join(", ")}
              .{" "}
            </>
          )}
          <Button onClick={() => void navigate(`/jobs/${imported.jobId}/drawing`)}>Open it</Button>
        </Notice>
      )}
      {imported?.kind === "differs" && !tooLarge && (
        <Notice severity="warn" role="alert">
          "{imported.name}" is already on this bench with different decisions or records. Which should count?{" "}
          <Box display="flex" gap="8px" mt="6px" flexWrap="wrap">
            <Button onClick={() => send(text, "keepMine")}>Keep the ones here</Button>
            <Button onClick={() => send(text, "takeTheirs")}>Use the file's</Button>
            <Button onClick={() => send(text, "asCopy")}>Import as a copy</Button>
          </Box>
        </Notice>
      )}
      {imported?.kind === "archived" && !tooLarge && (
        <Notice severity="warn" role="alert">
          "{imported.name}" is in your archive. Bring it back as it is, replace its decisions with the file's,
          or keep both?{" "}
          <Box display="flex" gap="8px" mt="6px" flexWrap="wrap">
            <Button onClick={() => send(text, "keepMine")}>Bring back the archived one</Button>
            <Button onClick={() => send(text, "takeTheirs")}>Bring it back with the file's decisions</Button>
            <Button onClick={() => send(text, "asCopy")}>Import as a copy</Button>
          </Box>
        </Notice>
      )}
    </Box>
  );
}

/** The bench while the jobs are being read. */
export function BenchSkeleton() {
  return (
    <>
      <TopLine place="Bench" />
      <Box as="main" maxW="1120px" mx="auto" px="24px" py="20px" aria-busy="true">
        <chakra.h1 fontSize="24px" mb="14px">
          On the bench
        </chakra.h1>
        {[1, 2, 3].map((i) => (
          <Box key={i} height="58px" bg="band" mb="8px" />
        ))}
        <chakra.p color="quiet" role="status">
          Reading the jobs of this browser
        </chakra.p>
      </Box>
    </>
  );
}

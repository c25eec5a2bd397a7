import { ChakraProvider } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";
import { createRoutesStub } from "react-router";
import type { JobContextValue } from "../../app/instruments/job-context.tsx";
import type { ShopIntent } from "../../app/shop/shop-intent.ts";
import type { ShopSaved } from "../../store/index.ts";
import type { Answer, JobIntent } from "../../app/session/intent.ts";
import { EntryContext, JobContext } from "../../app/instruments/job-context.tsx";
import { useUnit } from "../../app/instruments/local-setting.ts";
import { system } from "../../app/theme/system.ts";
import { applyChanges, equipment, type Job } from "../../core/job/index.ts";
import {
  batchOf,
  compareCut,
  compareHoldings,
  compareRoutes,
  comparingMachines,
  drawingCost,
  lumpOf,
  type MachineComparison,
  piecesSaid,
  plan,
  standingOf,
  suspicions,
} from "../../core/plan/index.ts";
import { noOwnValues } from "../../core/handbook/index.ts";
import { demoShop, type Shop } from "../../core/shop/index.ts";
import type { Record } from "../../core/steps/index.ts";
import { appended } from "./walker.ts";

function machinesCompared(job: Job, shop: Shop): MachineComparison {
  const work = comparingMachines(job, shop);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

interface StubOptions {
  job: Job;
  records?: Record[];
  /** Answers instead of the store; without it changes and events are taken. */
  answer?: (intent: JobIntent) => Answer | null;
  onIntent?: (intent: JobIntent) => void;
  /** The comparison of ways; without it the real one. */
  comparison?: JobContextValue["compareRoutes"];
  /** The walk of the told steps; without it one that was stopped. */
  walk?: JobContextValue["walkThrough"];
  /** What is asked of the shop, and its answer. */
  onShop?: (asked: ShopIntent) => ShopSaved;
}

/** A station or instrument inside a job that lives in memory: decisions and records are kept as the store would. */
export function jobStub(
  children: ReactNode,
  { job: first, records: begin = [], answer, onIntent, comparison, walk, onShop }: StubOptions,
) {
  function Host() {
    const [job, setJob] = useState(first);
    const [records, setRecords] = useState(begin);
    const [drafts, setDrafts] = useState<{ [path: string]: string }>({});
    const [unit] = useUnit();
    const send = async (intent: JobIntent): Promise<Answer> => {
      await Promise.resolve();
      onIntent?.(intent);
      const refused = answer?.(intent);
      if (refused) return refused;
      if (intent.intent === "change")
        setJob((now) => {
          const applied = applyChanges(now, intent.changes);
          return applied.ok ? applied.job : now;
        });
      else if (intent.intent === "append") setRecords((now) => appended(now, ...intent.events));
      return { ok: true };
    };
    const value: JobContextValue = {
      job,
      records,
      shop: demoShop,
      rack: demoShop.bars,
      standIns: [],
      own: noOwnValues,
      plan: plan({ job, records, shop: demoShop, piece: 1 }),
      send,
      kept: () => job,
      newest: () => Promise.resolve(job),
      shown: () => ({ job, records, piece: 1 }),
      typing: () => undefined,
      piece: 1,
      unit,
      drafts,
      keepDraft: (path, text) =>
        setDrafts((all) =>
          text === ""
            ? Object.fromEntries(Object.entries(all).filter(([p]) => p !== path))
            : { ...all, [path]: text },
        ),
      preview: () => undefined,
      compareRoutes: comparison ?? (() => Promise.resolve(compareRoutes(job, demoShop))),
      stopRoutes: () => undefined,
      compareMachines: () => Promise.resolve(machinesCompared(job, demoShop)),
      stopMachines: () => undefined,
      walkThrough: walk ?? (() => Promise.resolve(null)),
      stopWalk: () => undefined,
      batch: () => Promise.resolve(batchOf(job, [standingOf(value.plan, records, 1)])),
      suspicions: () =>
        Promise.resolve(suspicions(value.plan, job, demoShop, equipment(job, demoShop).machine)),
      lump: () => Promise.resolve(lumpOf(job, value.plan.target)),
      piecesSaid: () => Promise.resolve(piecesSaid(value.plan, { job, records, shop: demoShop })),
      cost: () => Promise.resolve(drawingCost(job, demoShop)),
      compareHoldings: (key) => Promise.resolve(compareHoldings(value.plan, job, demoShop, key)),
      compare: (key) => Promise.resolve(compareCut(value.plan, job, demoShop, key)),
      reason: "",
      setReason: () => undefined,
    };
    return (
      <ChakraProvider value={system}>
        <EntryContext value={value}>
          <JobContext value={value}>{children}</JobContext>
        </EntryContext>
      </ChakraProvider>
    );
  }
  const Stub = createRoutesStub([
    {
      path: "/shop/:list?",
      Component: () => null,
      action: async ({ request }) => onShop?.((await request.json()) as ShopIntent) ?? { ok: true },
    },
    ...[
      "machine/:piece?/:operation?/:step?",
      "record/:piece?/:view?",
      "drawing/:view?",
      "stock/:view?",
      ":station?/:operation?/:view?",
    ].map((path) => ({
      path: `/jobs/:jobId/${path}`,
      Component: Host,
    })),
  ]);
  return (path = `/jobs/${first.id}/drawing`) => <Stub initialEntries={[path]} />;
}

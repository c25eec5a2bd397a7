import "fake-indexeddb/auto";
import { cleanup, renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Glance } from "../../core/plan/index.ts";
import { noOwnValues } from "../../core/handbook/index.ts";
import {
  database,
  equipmentSign,
  type JobCard,
  keepGlance,
  type KeptGlance,
  shopKey,
} from "../../store/index.ts";
import { glanceOfJob } from "./glance-of-job.ts";
import { useGlances } from "./use-glances.ts";

vi.mock("./glance-of-job.ts");

const card = (id: string): JobCard => ({
  id,
  name: id,
  sheet: "",
  changed: "2026-11-25T09:00:00.000Z",
  status: null,
  deleted: "",
});
const glance = (left: number): Glance => ({
  state: "planned",
  part: { parts: [] },
  next: { parts: [] },
  blocked: false,
  left,
  setups: [],
});
const kept = (jobId: string, madeOf: string, left: number): KeptGlance => ({
  jobId,
  madeOf,
  glance: glance(left),
  picture: null,
});
/** Jobs that were worked out anew. */
const asked = () => vi.mocked(glanceOfJob).mock.calls.map(([id]) => id);

beforeEach(async () => {
  await database().glances.clear();
  await database().own.clear();
  vi.mocked(glanceOfJob).mockReset();
  vi.mocked(glanceOfJob).mockImplementation((id, madeOf) =>
    id === "broken" ? Promise.reject(new Error("no plan")) : Promise.resolve(kept(id, madeOf, 60)),
  );
});
afterEach(cleanup);

test("what is kept is shown and not worked out again; a job that cannot be planned takes no other with it", async () => {
  const fresh = `${card("a").changed} ${await equipmentSign(database())}`;
  await keepGlance(database(), kept("a", fresh, 30));
  const { result } = renderHook(() => useGlances([card("a"), card("broken"), card("b")]));
  await waitFor(() => expect([...result.current.keys()].sort()).toEqual(["a", "b"]));
  expect(result.current.get("a")?.glance.left).toBe(30);
  expect(asked()).toEqual(["broken", "b"]);
});

test.each([
  ["the job was changed since", () => Promise.resolve("earlier")],
  [
    "another handbook value holds",
    async () => {
      const before = await equipmentSign(database());
      await database().own.put({ ...noOwnValues, materials: {} }, shopKey);
      return `${card("a").changed} ${before}`;
    },
  ],
] as const)("worked out anew where %s", async (_why, madeOf) => {
  await keepGlance(database(), kept("a", await madeOf(), 30));
  const { result } = renderHook(() => useGlances([card("a")]));
  await waitFor(() => expect(result.current.get("a")?.glance.left).toBe(60));
  expect(asked()).toEqual(["a"]);
});

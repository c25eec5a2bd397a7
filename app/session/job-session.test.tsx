import "fake-indexeddb/auto";
import { beforeEach, describe, expect, test, vi } from "vitest";
import { changeOf } from "../../core/job/index.ts";
import type { RecordEvent } from "../../core/steps/index.ts";
import { addJob, changeJob, Database, deleteJob, loadJob } from "../../store/index.ts";
import { cheekBlock, dim } from "../../tests/support/cheek-block.ts";
import { JobSession } from "./job-session.ts";

const stamp = { at: "2026-11-25T09:00:00.000Z", by: "" };
const id = "cheek-block";
const length = "part/sizes/length";
let db: Database;
let n = 0;

beforeEach(async () => {
  localStorage.clear();
  db = new Database(`session-${n++}`);
  await addJob(db, cheekBlock(), [], stamp.at);
});

const open = async () => (await JobSession.open(db, id))!;
const note = (text: string): RecordEvent => ({ type: "note", text });
const append = (session: JobSession, text: string, seen = session.state.records.at(-1)?.id ?? null) =>
  session.commit({ intent: "append", events: [note(text)], seen, piece: 1 });
const set = (session: JobSession, path: string, to: unknown, from = session.state.job) =>
  session.commit({ intent: "change", changes: [changeOf(from, path, to)], reason: "" });
const texts = (session: JobSession) => session.state.records.map((r) => r.type === "note" && r.text);

describe("what a person enters", () => {
  test("is kept and shown at once, and the next session finds it", async () => {
    const session = await open();
    expect(await set(session, length, dim("95"))).toEqual({ ok: true });
    expect(session.state.job.part.sizes.length?.nominal).toBe(95);
    expect((await open()).state.job.part.sizes.length?.nominal).toBe(95);
  });

  test("is the same decision once it is kept as it was while it was typed", async () => {
    const session = await open();
    session.preview(length, { value: dim("95") });
    const { typed } = session.state;
    expect(typed.part.sizes.length?.nominal).toBe(95);
    expect(session.state.job.part.sizes.length?.nominal).toBe(96);
    await set(session, length, dim("95"));
    expect(session.state.typed).toBe(typed);
  });

  test("typed on while it is being kept is neither lost nor a conflict with oneself", async () => {
    const session = await open();
    const from = session.state.job;
    const sent = [set(session, length, dim("7"), from)];
    session.preview(length, { value: dim("75") });
    sent.push(
      session.commit({
        intent: "change",
        changes: [{ path: length, from: dim("7"), to: dim("75") }],
        reason: "",
      }),
    );
    expect(await Promise.all(sent)).toEqual([{ ok: true }, { ok: true }]);
    expect(session.state.typed.part.sizes.length?.nominal).toBe(75);
  });

  test("that stands against another tab's is told with both, and nothing is written", async () => {
    const session = await open();
    const seen = session.state.job;
    await changeJob(db, id, [changeOf(seen, length, dim("94"))], "", stamp);
    expect(await set(session, length, dim("95"), seen)).toMatchObject({ ok: false });
    expect(session.state.trouble).toMatchObject({
      what: "conflict",
      conflicts: [{ yours: { nominal: 95 }, theirs: { nominal: 94 } }],
    });
    expect((await loadJob(db, id))!.job.part.sizes.length?.nominal).toBe(94);
    session.settled();
    expect(session.state.trouble).toBeNull();
  });

  test("that the browser does not keep is said, and what comes after is kept again", async () => {
    const session = await open();
    const error = Object.assign(new Error("full"), { name: "QuotaExceededError" });
    const put = vi.spyOn(db.documents, "put").mockRejectedValueOnce(error);
    const silent = vi.spyOn(console, "error").mockImplementation(() => undefined);
    expect(await set(session, "name", "Lost")).toMatchObject({ notKept: "full" });
    expect(session.state.trouble).toMatchObject({ what: "notKept", why: "full" });
    put.mockRestore();
    silent.mockRestore();
    expect(await set(session, "name", "Kept")).toEqual({ ok: true });
  });

  test("in the last moment before a reload is found again, until it is kept", async () => {
    const session = await open();
    session.typing(length, "95");
    expect((await open()).state.drafts).toEqual({ [length]: "95" });
    session.preview(length, { value: dim("95") });
    await set(session, length, dim("95"));
    expect((await open()).state.drafts).toEqual({});
  });
});

test("two things that could not be kept are told one after the other", async () => {
  const session = await open();
  const full = Object.assign(new Error("full"), { name: "QuotaExceededError" });
  vi.spyOn(db.records, "bulkAdd").mockRejectedValueOnce(full).mockRejectedValueOnce(full);
  vi.spyOn(console, "error").mockImplementation(() => undefined);
  await append(session, "one");
  await append(session, "two");
  expect(session.state.trouble).toMatchObject({ of: 'The note "one"' });
  session.settled();
  expect(session.state.trouble).toMatchObject({ of: 'The note "two"' });
  session.settled();
  expect(session.state.trouble).toBeNull();
});

test("a job that was archived elsewhere takes nothing, and says so", async () => {
  const session = await open();
  await deleteJob(db, id, stamp.at);
  expect(await set(session, "name", "Late")).toMatchObject({ ok: false });
  expect(await append(session, "late")).toMatchObject({ ok: false });
  expect([await db.records.count(), (await db.documents.get(id))?.job.name]).toEqual([0, "Cheek block"]);
});

test("what is half typed is not taken away by what is kept meanwhile", async () => {
  const session = await open();
  const kept = set(session, "name", "Kept");
  session.keepDraft("retargets/height", "agreed with the fitter");
  await kept;
  expect(session.state.drafts).toEqual({ "retargets/height": "agreed with the fitter" });
  await set(session, "retargets/height", { size: dim("37"), reason: "agreed" });
  expect(session.state.drafts).toEqual({});
});

describe("what happened", () => {
  test("one entry right after another is kept in its order, whatever was seen of the first", async () => {
    const session = await open();
    await Promise.all(["a", "b", "c"].map((text) => append(session, text, null)));
    expect(texts(session)).toEqual(["a", "b", "c"]);
  });

  test("an entry made before another tab's was seen is not taken, and says so", async () => {
    const [one, other] = [await open(), await open()];
    await append(other, "theirs", null);
    expect(await append(one, "mine", null)).toMatchObject({ ok: false, elsewhere: true });
    expect(one.state.trouble).toEqual({ what: "elsewhere", of: 'The note "mine"' });
    await vi.waitFor(() => expect(texts(one)).toEqual(["theirs"]));
    expect(await append(one, "mine")).toEqual({ ok: true });
  });
});

describe("other tabs", () => {
  test("what they change comes in by itself, once", async () => {
    const session = await open();
    let told = 0;
    const stop = session.subscribe(() => told++);
    await changeJob(db, id, [changeOf(session.state.job, "name", "Theirs")], "", stamp);
    await vi.waitFor(() => expect(session.state.job.name).toBe("Theirs"));
    expect(told).toBe(1);
    stop();
  });

  test("a job they put away is gone here", async () => {
    const session = await open();
    await deleteJob(db, id, stamp.at);
    await vi.waitFor(() => expect(session.state.gone).toBe(true));
  });

  test("a session that is closed hears of nothing", async () => {
    const session = await open();
    session.close();
    await changeJob(db, id, [changeOf(session.state.job, "name", "Theirs")], "", stamp);
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(session.state.job.name).toBe("Cheek block");
  });
});

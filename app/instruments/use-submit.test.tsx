import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { jobStub } from "../../tests/support/job-stub.tsx";
import type { JobIntent } from "../session/intent.ts";
import { useJob } from "./job-context.tsx";
import { useSubmit } from "./use-submit.ts";

function Notes() {
  const submit = useSubmit();
  const { records } = useJob();
  const note = (text: string) => void submit.append({ type: "note", text });
  return (
    <>
      <button
        onClick={() => {
          note("one");
          note("two");
        }}
      >
        both
      </button>
      <button onClick={() => note("three")}>one more</button>
      <output>
        {submit.busy ? "busy" : "free"}, {records.length} records
      </output>
    </>
  );
}

const open = () => {
  const sent: Extract<JobIntent, { intent: "append" }>[] = [];
  const onIntent = (i: JobIntent) => void (i.intent === "append" && sent.push(i));
  render(jobStub(<Notes />, { job: cheekBlock(), onIntent })());
  return sent;
};
const texts = (sent: ReturnType<typeof open>) =>
  sent.flatMap((i) => i.events.map((e) => (e.type === "note" ? e.text : e.type)));
const said = () => screen.getByRole("status").textContent;

afterEach(cleanup);

test("it says that it is busy from the press on, and is free when what was saved is there", async () => {
  open();
  fireEvent.click(await screen.findByText("one more"));
  expect(said()).toBe("busy, 0 records");
  await waitFor(() => expect(said()).toBe("free, 1 records"));
});

test("what comes while the last is being saved goes after it, and names it as the last", async () => {
  const sent = open();
  fireEvent.click(await screen.findByText("one more"));
  fireEvent.click(screen.getByText("both"));
  await waitFor(() => expect(said()).toBe("free, 3 records"));
  expect(texts(sent)).toEqual(["three", "one", "two"]);
  expect(sent.map((i) => i.seen)).toEqual([null, null, null]);
});

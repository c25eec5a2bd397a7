import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { jobStub } from "../../tests/support/job-stub.tsx";
import type { JobIntent } from "../session/intent.ts";
import { useJob } from "./job-context.tsx";
import { dimensionEntry, NumberEntry } from "./number-entry.tsx";

function Width() {
  const { job } = useJob();
  return (
    <NumberEntry label="Width" path="part/sizes/width" kind={dimensionEntry} value={job.part.sizes.width} />
  );
}

function setUp(answer?: Parameters<typeof jobStub>[1]["answer"]) {
  const sent: JobIntent[] = [];
  const Stub = jobStub(<Width />, {
    job: cheekBlock(),
    onIntent: (i) => sent.push(i),
    ...(answer ? { answer } : {}),
  });
  render(Stub());
  const field = screen.getByLabelText<HTMLInputElement>("Width");
  return {
    sent,
    field,
    said: () => screen.getByRole("status").textContent ?? "",
    type: (value: string) => fireEvent.change(field, { target: { value } }),
  };
}

describe("number entry", () => {
  beforeEach(() => localStorage.clear());
  afterEach(cleanup);

  test("shows as written, and beneath what was understood in both units with the nearest 64th", () => {
    const { field, said } = setUp();
    expect(field.value).toBe("60 ±0.05");
    expect(said()).toBe("60.00 ±0.05 mm · 2.3622 ±0.0020 in · near 2 23/64 in");
  });

  test.each([
    ["on Enter", (field: HTMLInputElement) => fireEvent.keyDown(field, { key: "Enter" })],
    ["on leaving the field", (field: HTMLInputElement) => fireEvent.blur(field)],
    ["after a pause", () => undefined],
  ])("what is understood is kept %s, against the value that was seen", async (_when, finish) => {
    const { sent, field, type } = setUp();
    field.focus();
    type("2 3/8 in");
    finish(field);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      intent: "change",
      changes: [
        {
          path: "part/sizes/width",
          from: { nominal: 60 },
          to: { nominal: 60.325, written: { text: "2 3/8 in", unit: "in" } },
        },
      ],
    });
  });

  test("what is not understood stays, says why, and is not kept as a size", async () => {
    const { sent, field, said, type } = setUp();
    field.focus();
    type("60 spans");
    fireEvent.blur(field);
    await act(() => new Promise((resolve) => setTimeout(resolve, 500)));
    expect(sent).toEqual([]);
    expect(field.value).toBe("60 spans");
    expect(field.getAttribute("aria-invalid")).toBe("true");
    expect(said()).toMatch(/not a unit known here/);
  });

  test("Escape takes back what was typed", () => {
    const { field, type } = setUp();
    field.focus();
    type("60 spans");
    fireEvent.keyDown(field, { key: "Escape" });
    expect(field.value).toBe("60 ±0.05");
  });

  test.each([
    ["ArrowUp", "60.01 ±0.05 mm"],
    ["ArrowDown", "59.99 ±0.05 mm"],
  ])("%s steps by a hundredth", (key, expected) => {
    const { field } = setUp();
    field.focus();
    fireEvent.keyDown(field, { key });
    expect(field.value).toBe(expected);
  });

  test("looking at a field and leaving it changes nothing, in either unit", async () => {
    localStorage.setItem("firm-arbor:unit", "in");
    const { sent, field } = setUp();
    expect(field.value).toBe("2.3622 ±0.0020 in");
    fireEvent.focus(field);
    fireEvent.blur(field);
    await act(() => new Promise((resolve) => setTimeout(resolve, 500)));
    expect(sent).toEqual([]);
  });
});

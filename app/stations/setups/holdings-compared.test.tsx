import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, test } from "vitest";
import { featureSetupsOf, heldOn } from "../../../core/route/index.ts";
import { jobOf } from "../../../tests/parts/described.ts";
import { toolroomParts } from "../../../tests/parts/toolroom.ts";
import { jobStub } from "../../../tests/support/job-stub.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { HoldingsCompared } from "./holdings-compared.tsx";
import { walk } from "../../../tests/support/walker.ts";

/** The last setup of features, and how it is held. */
function Last() {
  const setup = featureSetupsOf(useJob().plan.setups).at(-1)!;
  return (
    <>
      <p>held by {heldOn(setup.seat)}</p>
      <HoldingsCompared setup={setup} />
    </>
  );
}
const show = (name: string) =>
  render(jobStub(<Last />, { job: jobOf(toolroomParts.find((p) => p.name === name)!) })());
const card = (name: string | RegExp) => screen.findByRole("region", { name });

describe("ways to hold it", () => {
  afterEach(cleanup);

  test("each stands with what it holds and takes; one press holds the setup so, another takes that back", async () => {
    show("Drill jig plate");
    expect(screen.getByText("held by vise")).toBeTruthy();
    const straps = within(await card("Straps on the table"));
    expect(straps.getByText("holds along")).toBeTruthy();
    fireEvent.click(straps.getByRole("button", { name: "Hold it so" }));
    expect(await screen.findByText("held by straps")).toBeTruthy();
    expect(within(await card("Straps on the table")).getByText("in the plan")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: /^Back to the plan's/ }));
    expect(await screen.findByText("held by vise")).toBeTruthy();
  });

  test("once the setup has begun none is offered any more, and each shows its working", async () => {
    const job = jobOf(toolroomParts.find((p) => p.name === "Motor plate with a pocket")!);
    const { records } = walk(job, { until: (step) => step.kind === "check" });
    render(jobStub(<Last />, { job, records })());
    expect(screen.getByText(/The setup has begun/)).toBeTruthy();
    const straps = within(await card(/^Straps on the table/));
    expect(straps.getByText("held on the packing")).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Hold it so" })).toBeNull();
  });

  test("a way that does not go says why, and offers nothing", async () => {
    show("Motor plate with a pocket");
    const vise = within(await card("The vise"));
    expect(vise.getByText(/must go between the jaws/)).toBeTruthy();
    expect(vise.queryByRole("button")).toBeNull();
  });
});

import "fake-indexeddb/auto";
import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { createRoutesStub, useLocation } from "react-router";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { addJob, database } from "../../store/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { system } from "../theme/system.ts";
import { Find } from "./find.tsx";
import { offerPlaces } from "./find-state.ts";

function Where() {
  const { pathname, hash } = useLocation();
  return (
    <>
      <Find />
      <output>{pathname + hash}</output>
    </>
  );
}

let stop = () => {};
beforeEach(async () => {
  await addJob(database(), cheekBlock(), [], "2026-11-25T09:00:00.000Z");
  stop = offerPlaces(() => [{ name: "slot 2", kind: "feature", to: "/jobs/cheek-block/drawing" }]);
  const Stub = createRoutesStub([{ path: "*", Component: Where }]);
  render(
    <ChakraProvider value={system}>
      <Stub initialEntries={["/"]} />
    </ChakraProvider>,
  );
});
afterEach(() => {
  stop();
  cleanup();
});

const open = async () => {
  fireEvent.keyDown(document.body, { key: "/" });
  return screen.findByRole("combobox");
};
const options = () => screen.queryAllByRole("option").map((o) => o.textContent);
const chosen = () => screen.queryAllByRole("option").find((o) => o.getAttribute("aria-selected") === "true");

describe("find", () => {
  test.each([
    ["cheek", "Cheek blockjob"],
    ["slot 2", "slot 2feature"],
    ["t-slots", "T-slotstable"],
    ["woodruff", "Woodruff keysum"],
    ["changing cut", "Changing cutterscautions"],
    ["cuzn37", "Cold-working brass (CuZn37)material"],
  ])("%s is found by a few letters", async (text, first) => {
    fireEvent.change(await open(), { target: { value: text } });
    await waitFor(() => expect(options()[0]).toBe(first));
  });

  test("arrows choose and Enter goes there", async () => {
    const field = await open();
    fireEvent.change(field, { target: { value: "keys" } });
    await waitFor(() => expect(options().length).toBeGreaterThan(2));
    fireEvent.keyDown(field, { key: "ArrowDown" });
    const second = options()[1];
    expect(chosen()?.textContent).toBe(second);
    fireEvent.keyDown(field, { key: "ArrowUp" });
    fireEvent.keyDown(field, { key: "ArrowUp" });
    expect(chosen()?.textContent).toBe(options()[0]);
    fireEvent.keyDown(field, { key: "Enter" });
    await waitFor(() => expect(screen.queryByRole("combobox")).toBeNull());
    expect(document.querySelector("output")?.textContent).toMatch(/^\/handbook\/tables\//);
  });

  test("what is not there is said, and Enter goes nowhere", async () => {
    const field = await open();
    fireEvent.change(field, { target: { value: "qqqq" } });
    await screen.findByText(/Nothing here matches "qqqq"/);
    fireEvent.keyDown(field, { key: "Enter" });
    expect(document.querySelector("output")?.textContent).toBe("/");
  });
});

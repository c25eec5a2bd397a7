import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { createRoutesStub } from "react-router";
import { afterEach, expect, test } from "vitest";
import { demoShop, type Shop } from "../../core/shop/index.ts";
import { system } from "../theme/system.ts";
import { ListPage } from "./list-page.tsx";
import { ShopContext, type ShopContextValue } from "./use-shop.ts";

afterEach(cleanup);

function open(mine: Shop, search = "") {
  const saved: Parameters<ShopContextValue["save"]>[] = [];
  const value: ShopContextValue = {
    mine,
    save: (...of) => void saved.push(of),
    addSet: () => undefined,
    importList: () => undefined,
    saved: null,
  };
  const Page = () => (
    <ShopContext.Provider value={value}>
      <ListPage list="cutters" />
    </ShopContext.Provider>
  );
  const Stub = createRoutesStub([{ path: "/shop/cutters", Component: Page }]);
  render(
    <ChakraProvider value={system}>
      <Stub initialEntries={[`/shop/cutters${search}`]} />
    </ChakraProvider>,
  );
  return saved;
}
const names = () =>
  [...document.querySelectorAll("tbody tr")].map((row) => row.querySelector("th, td")?.textContent ?? "");
const [first, second] = demoShop.cutters;

test("an empty drawer says what to do", () => {
  open({ ...demoShop, cutters: [] });
  expect(document.body.textContent).toMatch(/This drawer is empty\. Add a cutter/);
});

test("a drawer is searched by any column, and what is not there is said", async () => {
  open(demoShop);
  expect(names()).toHaveLength(demoShop.cutters.length);
  fireEvent.change(screen.getByLabelText("Search"), { target: { value: second!.name } });
  await waitFor(() => expect(names().every((name) => name.includes(second!.name))).toBe(true));
  fireEvent.change(screen.getByLabelText("Search"), { target: { value: "nothing like it" } });
  await screen.findByText(/Nothing here matches "nothing like it"/);
});

test("what is retired stays out until it is asked for", async () => {
  const retired = { ...demoShop, cutters: [{ ...first!, retired: true }, second!] };
  open(retired);
  expect(names()).toHaveLength(1);
  fireEvent.click(screen.getByRole("button", { name: "Show 1 retired" }));
  await waitFor(() => expect(names()).toHaveLength(2));
});

test("a new one is kept as blank, against nothing", () => {
  const saved = open(demoShop);
  fireEvent.click(screen.getByRole("button", { name: "Add a cutter" }));
  expect(saved).toMatchObject([["cutters", saved[0]![1], null, { id: saved[0]![1] }]]);
});

test("a press of a head sorts by size, a second one turns it round; what is not known stays last", async () => {
  const wide = demoShop.cutters.map((c) => c.diameter);
  const sizes = () =>
    [...document.querySelectorAll("tbody tr")].map((row) =>
      parseFloat(row.querySelectorAll("td")[2]!.textContent),
    );
  open(demoShop);
  fireEvent.click(screen.getByRole("button", { name: "Sort by diameter" }));
  await waitFor(() => expect(sizes()).toEqual([...wide].sort((a, b) => a - b)));
  expect(document.querySelector("th[aria-sort]")?.getAttribute("aria-sort")).toBe("ascending");
  fireEvent.click(screen.getByRole("button", { name: "Sort by diameter" }));
  await waitFor(() => expect(sizes()[0]).toBe(Math.max(...wide)));
});

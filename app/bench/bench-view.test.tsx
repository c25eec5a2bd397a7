import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { createRoutesStub } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { JobCard } from "../../store/index.ts";
import { system } from "../theme/system.ts";
import { BenchView } from "./bench-view.tsx";

beforeEach(() => vi.stubGlobal("isSecureContext", true));
afterEach(cleanup);

const card = (id: string, some: Partial<JobCard> = {}): JobCard => ({
  id,
  name: `Job ${id}`,
  sheet: "",
  changed: "2026-11-25T09:00:00.000Z",
  status: null,
  deleted: "",
  ...some,
});
const many = Array.from({ length: 80 }, (_, i) => card(String(i)));

function open(jobs: JobCard[], deleted: JobCard[] = []) {
  const sent: { [key: string]: unknown }[] = [];
  const Stub = createRoutesStub([
    {
      path: "/",
      children: [
        {
          index: true,
          Component: () => <BenchView jobs={jobs} deleted={deleted} />,
          action: async ({ request }) => {
            sent.push(Object.fromEntries(await request.formData()));
            return null;
          },
        },
      ],
    },
  ]);
  render(
    <ChakraProvider value={system}>
      <Stub initialEntries={["/"]} />
    </ChakraProvider>,
  );
  return sent;
}
const links = () => screen.queryAllByRole("link", { name: /^Job/ }).length;

test("an empty bench says what the app does and offers the demo", async () => {
  const sent = open([]);
  expect(screen.getByRole("heading", { name: "What are you making?" })).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Load the demo jobs" }));
  await waitFor(() => expect(sent).toEqual([{ intent: "demo" }]));
});

test("a long list shows the newest, all when asked, and is searched by name or sheet", () => {
  open([...many, card("last", { sheet: "Larkmoor 7" })]);
  expect(links()).toBe(60);
  fireEvent.change(screen.getByLabelText("Search"), { target: { value: "larkmoor 7" } });
  expect(links()).toBe(1);
  fireEvent.change(screen.getByLabelText("Search"), { target: { value: "nowhere" } });
  expect(links()).toBe(0);
});

test("a job is archived and brought back by its own button", async () => {
  const sent = open([card("a")], [card("b", { deleted: "2026-11-25T10:00:00.000Z" })]);
  fireEvent.click(screen.getByRole("button", { name: "Archive Job a" }));
  await waitFor(() => expect(sent).toEqual([{ intent: "delete", id: "a" }]));
  fireEvent.click(screen.getByRole("button", { name: "Bring back Job b" }));
  await waitFor(() => expect(sent[1]).toEqual({ intent: "restore", id: "b" }));
});

test("tags are typed, kept once each, and pressed to show only what has them", async () => {
  const sent = open([card("a", { tags: ["winch"] }), card("b")]);
  fireEvent.click(screen.getByRole("button", { name: "Tags of Job b" }));
  const field = screen.getByLabelText("Tags of Job b, with commas between");
  fireEvent.change(field, { target: { value: "urgent, winch" } });
  fireEvent.keyDown(field, { key: "Enter" });
  await waitFor(() => expect(sent).toEqual([{ intent: "tags", id: "b", tags: "urgent, winch" }]));
  fireEvent.click(screen.getByRole("button", { name: "winch", pressed: false }));
  expect(links()).toBe(1);
  fireEvent.click(screen.getByRole("button", { name: "winch", pressed: true }));
  expect(links()).toBe(2);
});

test.each([
  ["changed", ["Job b", "Job a"]],
  ["name", ["Job a", "Job b"]],
])("jobs sorted by %s", (order, expected) => {
  open([card("b"), card("a")]);
  fireEvent.change(screen.getByLabelText("Sorted by"), { target: { value: order } });
  expect(screen.getAllByRole("link", { name: /^Job/ }).map((link) => link.textContent)).toEqual(expected);
});

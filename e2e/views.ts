import type { Page } from "@playwright/test";

/** Every main view: one spec looks at each, and the screenshots script takes its picture from the same list. */
export interface View {
  name: string;
  url: string;
  /** Widths and heights the view is looked at. */
  sizes: [width: number, height: number][];
  /** Keys pressed once it is there, to get to a telling state. */
  keys?: string[];
  /** Buttons pressed first, at the address before it. */
  after?: { url: string; press: string };
  /** A button pressed once it is there. */
  press?: RegExp;
  /** Text that the picture begins at. */
  from?: string;
  /** Text that shows the view is ready. */
  ready: string;
  /** Keeps a picture in docs/screenshots. */
  picture: boolean;
}

const desk: [number, number] = [1280, 800];
const phone: [number, number] = [390, 844];
const tablet: [number, number] = [820, 1180];
const job = "/jobs/cheek-block";

/** Ticks, zero, lock and first pass of setup 1, said to be really cut: the machine shows a pass in the middle of the ladder. */
const toSecondPass = Array<string>(16).fill("Space");
/** Placing, clamping, tool and three zeros of a shaft: the machine shows how it goes down to a level of its keyseat. */
const toKeyseat = Array<string>(24).fill("Space");

export const views: View[] = [
  { name: "bench", url: "/", sizes: [desk, phone], ready: "Cheek block", picture: true },
  { name: "drawing", url: `${job}/drawing`, sizes: [desk, phone], ready: "On this sheet", picture: true },
  {
    name: "drawing-chosen",
    url: `${job}/drawing`,
    press: /^▸ slot 2/,
    sizes: [desk, phone, tablet],
    ready: "On this sheet",
    picture: false,
  },
  {
    name: "drawing-shaft",
    url: "/jobs/drum-shaft/drawing",
    press: /^▸ keyway 1/,
    sizes: [desk],
    ready: "Sections of the shaft",
    picture: true,
  },
  {
    name: "drawing-faces",
    url: `${job}/drawing/faces`,
    sizes: [desk, phone],
    ready: "Ra required",
    picture: false,
  },
  { name: "drawing-fits", url: `${job}/drawing/fits`, sizes: [desk], ready: "Add a mate", picture: false },
  {
    name: "drawing-cost",
    url: `${job}/drawing/cost`,
    sizes: [desk],
    ready: "What the drawing costs",
    picture: false,
  },
  {
    name: "drawing-check",
    url: `${job}/drawing/check`,
    sizes: [desk, phone],
    ready: "As understood",
    picture: false,
  },
  { name: "stock", url: `${job}/stock`, sizes: [desk, phone], ready: "is it enough", picture: true },
  {
    name: "stock-balance",
    url: "/jobs/cast-foot/stock/balance",
    sizes: [desk, phone],
    ready: "It cleans up",
    picture: true,
  },
  {
    name: "stock-bar",
    url: "/jobs/track-dogs/stock/bar",
    sizes: [desk, phone],
    ready: "The rack, for 6 blanks",
    picture: false,
  },
  {
    name: "setups",
    url: `${job}/setups/bottom.face`,
    sizes: [desk, phone],
    ready: "Why this way",
    picture: true,
  },
  {
    name: "setups-order",
    url: `${job}/setups/bottom.face/order`,
    sizes: [desk, phone],
    ready: "Face net",
    picture: false,
  },
  {
    name: "setups-compared",
    url: `${job}/setups/bottom.face/ways`,
    sizes: [desk],
    ready: "Recommended: ",
    picture: true,
  },
  {
    name: "setups-held",
    url: `${job}/setups/step.rough/held`,
    sizes: [desk, phone],
    ready: "holds along",
    picture: false,
  },
  {
    name: "setups-machines",
    url: `${job}/setups/bottom.face/machines`,
    sizes: [desk],
    ready: "To carry over",
    picture: false,
  },
  {
    name: "rehearse",
    url: `${job}/setups/bottom.face/rehearse`,
    sizes: [desk],
    ready: "Walked through: ",
    picture: false,
  },
  {
    name: "setups-true",
    url: `${job}/setups/bottom.face/true`,
    sizes: [desk, phone],
    ready: "Ready for ±",
    picture: false,
  },
  {
    name: "setups-table",
    after: { url: `${job}/setups/back.face/ways`, press: "Take on the table" },
    url: `${job}/setups/top.rest`,
    sizes: [desk, phone],
    ready: "Move the straps to the",
    picture: false,
  },
  {
    name: "cuts",
    url: `${job}/cuts/back.face`,
    sizes: [desk, phone],
    ready: "Lanes, seen from above",
    picture: true,
  },
  {
    name: "cuts-limits",
    url: `${job}/cuts/back.face/limits`,
    sizes: [desk, phone],
    ready: "Room inside the limits",
    picture: false,
  },
  {
    name: "cuts-cutters",
    url: `${job}/cuts/back.face/cutters`,
    sizes: [desk, phone],
    ready: "Cutters in the shop",
    picture: false,
  },
  { name: "cuts-all", url: `${job}/cuts/back.face/all`, sizes: [desk], ready: "hole 1", picture: false },
  {
    name: "setups-features",
    url: `${job}/setups/slot-closed.rough`,
    sizes: [desk, phone],
    ready: "Where zero lies",
    picture: true,
  },
  {
    name: "setup-sheet",
    url: "/jobs/pawl-plate/setups/seat.rough/page",
    sizes: [desk],
    ready: "On one page, for the machine",
    picture: true,
  },
  {
    name: "cuts-moves",
    url: "/jobs/pawl-plate/cuts/seat.rough/moves",
    sizes: [desk, phone],
    ready: "all from one zero",
    picture: false,
  },
  {
    name: "machine-slot",
    url: "/jobs/drum-shaft/machine",
    sizes: [desk, phone],
    keys: toKeyseat,
    ready: "Something is wrong",
    picture: true,
  },
  {
    name: "machine",
    url: `${job}/machine`,
    sizes: [desk, phone, tablet],
    keys: toSecondPass,
    ready: "Something is wrong",
    picture: true,
  },
  {
    name: "record",
    url: "/jobs/keeper-blocks/record/4",
    sizes: [desk, phone],
    ready: "under size",
    picture: true,
  },
  {
    name: "record-pieces",
    url: "/jobs/keeper-blocks/record/1/pieces",
    sizes: [desk, phone],
    ready: "left to make",
    picture: false,
  },
  {
    name: "record-batch",
    url: "/jobs/track-dogs/record/1/batch",
    sizes: [desk, phone],
    ready: "Where each piece is",
    picture: true,
  },
  {
    name: "record-money",
    url: "/jobs/track-dogs/record/1/money",
    sizes: [desk],
    ready: "machine hours",
    picture: false,
  },
  {
    name: "record-built",
    url: "/jobs/keeper-blocks/record/1/built",
    sizes: [desk, phone],
    ready: "as built",
    picture: false,
  },
  {
    name: "record-log",
    url: `${job}/record/1/log`,
    sizes: [desk],
    ready: "Your name in the log",
    picture: false,
  },
  {
    name: "record-files",
    url: `${job}/record/1/files`,
    sizes: [desk, phone],
    ready: "Export",
    picture: false,
  },
  {
    name: "ahead-sawing",
    url: "/ahead/sawing",
    sizes: [desk],
    ready: "No way opens less",
    picture: true,
  },
  { name: "ahead-days", url: "/ahead/days", sizes: [desk, phone], ready: "Day by day", picture: false },
  { name: "shop", url: "/shop/cutters", sizes: [desk, phone], ready: "Import CSV", picture: true },
  {
    name: "shop-item",
    url: "/shop/cutters?item=em-20",
    sizes: [desk, phone],
    ready: "out of its holder",
    picture: false,
  },
  {
    name: "shop-machine",
    url: "/shop/machines?item=knee",
    sizes: [desk, phone],
    ready: "Pull test and tram",
    picture: false,
  },
  {
    name: "materials",
    url: "/handbook/materials",
    sizes: [desk, phone],
    ready: "Low-carbon steel",
    picture: false,
  },
  {
    name: "handbook",
    url: "/handbook/materials/steel-low-drawn",
    sizes: [desk, phone],
    ready: "Cutting speed",
    picture: false,
  },
  {
    name: "tables",
    url: "/handbook/tables",
    sizes: [desk],
    ready: "Parallel keys, metric",
    picture: false,
  },
  {
    name: "table",
    url: "/handbook/tables/fits",
    sizes: [desk],
    ready: "ISO 286-1",
    picture: false,
  },
  {
    name: "key",
    url: "/sums/key",
    sizes: [desk, phone],
    ready: "seat depth from the crown",
    picture: true,
  },
  { name: "cautions", url: "/handbook/cautions", sizes: [desk], ready: "instructor", picture: false },
  { name: "words", url: "/handbook/words", sizes: [desk], ready: "backlash", picture: false },
  { name: "sum", url: "/sums/power", sizes: [desk, phone], ready: "power at the cutter", picture: false },
];

/** Name of a picture: the phone's carries its width. */
export const pictureName = (view: View, [width]: [number, number]): string =>
  width === desk[0] ? view.name : `${view.name}-${width}`;

/** Pictures kept: every view at the desk, the machine on the phone too. */
export const pictured = (view: View, size: [number, number]): boolean =>
  view.picture && (size === desk || (view.name.startsWith("machine") && size === phone));

/** Presses what leads to a view, and waits until it is kept. */
export async function pressFirst(page: Page, { url, press }: NonNullable<View["after"]>): Promise<void> {
  await page.goto(url);
  await page.getByRole("button", { name: press }).click();
  await page.getByText("in the plan").first().waitFor();
  await page.waitForTimeout(500);
}

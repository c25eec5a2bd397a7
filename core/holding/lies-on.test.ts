import { expect, test } from "vitest";
import type { Face } from "../frame/index.ts";
import { type Piece, rawPiece, newStock, cutFace } from "../stock/index.ts";
import { liesOn } from "./index.ts";

const spare = { verdict: "enough" as const, smallest: 40, spare: 2, reachable: 39, total: 2, skins: 0 };
const raw = rawPiece(newStock("sawn"), { length: spare, width: spare, height: spare } as never);
const cut = (piece: Piece, face: Face, from: Face, clean = true) => cutFace(piece, face, from, 38, clean);
const at = { up: "top", fixed: "back" } as const;

test.each([
  ["raw", "not tapped down", raw, false],
  ["bought", "neither face was cut", raw, true],
  ["bought", "the face below was cut from another", cut(raw, "bottom", "front"), true],
  ["on both", "the face below was cut from the one at the jaw", cut(raw, "bottom", "back"), true],
  ["on both", "the face at the jaw is a clean cut", cut(raw, "back", "bottom"), true],
  ["jaw not clean", "the face at the jaw is not clean all over", cut(raw, "back", "bottom", false), true],
] as const)("%s: %s", (lies, _why, piece, tap) => {
  expect(liesOn(piece, at, { tap })).toBe(lies);
});

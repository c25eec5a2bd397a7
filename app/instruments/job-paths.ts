import { mostPieces } from "../../core/job/index.ts";
import { type AnyKey, keySlug } from "../../core/route/index.ts";

export const machinePath = (jobId: string, piece: number, step?: { op: AnyKey; id: string }): string =>
  `/jobs/${jobId}/machine/${piece}${step ? `/${keySlug(step.op)}/${step.id}` : ""}`;

export const recordPath = (jobId: string, piece: number): string => `/jobs/${jobId}/record/${piece}`;

/** A cut with its figures, where they are made a person's own. */
export const cutPath = (jobId: string, key: AnyKey): string => `/jobs/${jobId}/cuts/${keySlug(key)}`;

/** The piece an address names; null where it names none, or what is no piece. */
export function pieceOf(param: string | undefined): number | null {
  const asked = param !== undefined && /^\d{1,4}$/.test(param) ? Number(param) : 0;
  return asked >= 1 && asked <= 2 * mostPieces ? asked : null;
}

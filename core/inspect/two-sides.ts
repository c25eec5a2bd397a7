import { type LengthUnit, type Mm, parseLength, tidy } from "../quantity/index.ts";

/**
 * The walls on both sides of what is to lie in the middle, typed one after the other: "12.02 11.98", or "0.4731, 0.4724 in".
 * @returns how far they differ, mm; null where not two lengths were typed
 */
export function sidesTyped(text: string, unit: LengthUnit): Mm | null {
  const typed = /^\s*([\d.]+)(?:\s*[,;]\s+|\s*[;]\s*|\s+)([\d.]+)\s*([a-z"″”]*)\s*$/i.exec(text);
  if (!typed) return null;
  const [one, other] = [typed[1]!, typed[2]!].map((t) => parseLength(`${t} ${typed[3]!}`.trim(), unit));
  return one!.ok && other!.ok ? tidy(Math.abs(one!.value - other!.value)) : null;
}

/** Ids of all phrases anywhere in a value. */
export function phraseIds(value: unknown, found = new Set<string>()): Set<string> {
  if (Array.isArray(value)) value.forEach((inner) => phraseIds(inner, found));
  else if (typeof value === "object" && value !== null) {
    if ("parts" in value && "id" in value && typeof value.id === "string") found.add(value.id);
    Object.values(value).forEach((inner) => phraseIds(inner, found));
  }
  return found;
}

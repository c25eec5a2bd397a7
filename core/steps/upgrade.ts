type Raw = { [key: string]: unknown };
const isRaw = (value: unknown): value is Raw => typeof value === "object" && value !== null;

/** A record as older versions kept it: what was told of a face had one feed for all passes, and the begin of a feature a name of its own. */
function withToday(record: unknown): unknown {
  if (isRaw(record) && record.type === "featureBegun") return { ...record, type: "begun" };
  if (!isRaw(record) || record.type !== "begun" || !isRaw(record.told) || !isRaw(record.told.conditions))
    return record;
  const { conditions } = record.told;
  return { ...record, told: { ...record.told, conditions: { finishVf: conditions.vf, ...conditions } } };
}

/** Text of a value that was kept, where it is one that older versions numbered or dated records with. */
const plain = (value: unknown): string =>
  typeof value === "string" || typeof value === "number" ? String(value) : "";

/**
 * The records of a job as older versions kept them, brought to today's shape. Until version 4 they had a number in the job and no
 * id: number and time make one, so that a record that was carried to two devices is still one record. Runs twice without harm;
 * what is no record stays as it is, for the schema to refuse.
 */
export function upgradeRecords(records: readonly unknown[]): unknown[] {
  const numbered = records.flatMap((r) => (isRaw(r) && typeof r.seq === "number" && !("id" in r) ? [r] : []));
  if (numbered.length === 0) return records.map(withToday);
  const sorted = numbered.toSorted((a, b) => Number(a.seq) - Number(b.seq));
  const idOf = (r: Raw) => `${plain(r.at)}#${plain(r.seq)}`;
  const ids = new Map(sorted.map((r) => [r.seq, idOf(r)]));
  const before = new Map(sorted.map((r, i) => [r, i > 0 ? idOf(sorted[i - 1]!) : null]));
  return records.map((record) => {
    if (!isRaw(record) || !before.has(record)) return withToday(record);
    const { seq, ...kept } = record;
    void seq;
    const named = { ...kept, id: idOf(record), follows: before.get(record) };
    return withToday(
      record.type === "withdrawn" ? { ...named, of: ids.get(record.of) ?? `#${plain(record.of)}` } : named,
    );
  });
}

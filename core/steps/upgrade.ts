type Raw = { [key: string]: unknown };
const isRaw = (value: unknown): value is Raw => typeof value === "object" && value !== null;

/** A record as version 1 kept it: what was told then had one feed for all passes. Runs twice without harm. */
export function upgradeRecord(record: unknown): unknown {
  if (!isRaw(record) || record.type !== "begun" || !isRaw(record.told) || !isRaw(record.told.conditions))
    return record;
  const { conditions } = record.told;
  return { ...record, told: { ...record.told, conditions: { finishVf: conditions.vf, ...conditions } } };
}

type Raw = { [key: string]: unknown };
const isRaw = (value: unknown): value is Raw => typeof value === "object" && value !== null;

/**
 * A record as older versions kept it: what was told of a face had one feed for all passes, and the begin of a feature a name of
 * its own. Runs twice without harm.
 */
export function upgradeRecord(record: unknown): unknown {
  if (isRaw(record) && record.type === "featureBegun") return { ...record, type: "begun" };
  if (!isRaw(record) || record.type !== "begun" || !isRaw(record.told) || !isRaw(record.told.conditions))
    return record;
  const { conditions } = record.told;
  return { ...record, told: { ...record.told, conditions: { finishVf: conditions.vf, ...conditions } } };
}

/** A value without what is empty, its fields in one order: what a row leaves out is the same as what it leaves empty. */
function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plain);
  if (typeof value !== 'object' || value === null) return value ?? null;
  const fields = Object.entries(value).filter(([, one]) => one !== null && one !== undefined);
  return Object.fromEntries(
    fields.sort(([a], [b]) => (a < b ? -1 : 1)).map(([field, one]) => [field, plain(one)]),
  );
}

const sameValue = (a: unknown, b: unknown): boolean => JSON.stringify(plain(a)) === JSON.stringify(plain(b));

/** Fields in which a record differs from the one that is kept. */
export const differingFields = (record: object, kept: object): string[] =>
  Object.entries(record)
    .filter(([field, value]) => !sameValue(value, (kept as Record<string, unknown>)[field]))
    .map(([field]) => field);

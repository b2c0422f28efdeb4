const NAMES_A_RECORD = /^id$|Id$/;
const LISTS_RECORDS = /Ids$/;

/** Every id a file gives to one of its records. */
function ownIds(file: Record<string, unknown>): string[] {
  const lists = Object.values(file).flatMap((value): unknown[] => (Array.isArray(value) ? value : []));
  const records = [file['garden'], ...lists];
  return records.flatMap((record) => {
    const id: unknown = (record as { id?: unknown } | null)?.id;
    return typeof id === 'string' ? [id] : [];
  });
}

/** The same file about another garden: all its records get new ids, and name each other by those. */
export function asCopy(file: Record<string, unknown>, newId: () => string): object {
  const renamed = new Map(ownIds(file).map((id) => [id, newId()]));
  const walk = (value: unknown, key: string): unknown => {
    if (Array.isArray(value))
      return value.map((one: unknown) => walk(one, LISTS_RECORDS.test(key) ? 'id' : key));
    if (typeof value === 'object' && value !== null) {
      return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, walk(one, name)]));
    }
    if (typeof value !== 'string') return value;
    if (key === 'taskKey') {
      return value
        .split(':')
        .map((part) => renamed.get(part) ?? part)
        .join(':');
    }
    return NAMES_A_RECORD.test(key) ? (renamed.get(value) ?? value) : value;
  };
  return walk(file, '') as object;
}

import all from '../api/limits.json';

type Rule = number | string | [number, Rule];
type Rules = Record<string, Record<string, Rule>>;

export type Limited = keyof typeof all;

/** The message for each field, by its path: `faults.0.see`. */
export type Errors = Record<string, string>;

const RULES = all as unknown as Rules;

/** What is longer than the one rule of limits lets it be, before it is sent. */
export function overLimits(schema: Limited, value: object): Errors {
  const errors: Errors = {};
  const look = (path: string, said: unknown, rule: Rule) => {
    if (typeof rule === 'string') record(path, said, rule);
    else if (typeof rule === 'number') {
      if (typeof said === 'string' && said.length > rule)
        errors[path] = `${said.length} characters; at most ${rule} fit.`;
    } else if (Array.isArray(said)) {
      const [most, of] = rule;
      if (said.length > most) errors[path] = `${said.length} entries; at most ${most} fit.`;
      said.forEach((entry, n) => {
        if (of !== 0) look(`${path}.${n}`, entry, of);
      });
    }
  };
  const record = (path: string, said: unknown, name: string) => {
    if (said === null || typeof said !== 'object') return;
    for (const [property, rule] of Object.entries(RULES[name] ?? {}))
      look(path ? `${path}.${property}` : property, (said as Record<string, unknown>)[property], rule);
  };
  record('', value, schema);
  return errors;
}

/** Every entry of a list that lacks a text it cannot be without. */
export function lacking<T>(
  path: string,
  rows: readonly T[],
  wanted: Partial<Record<keyof T & string, string>>,
): Errors {
  return Object.fromEntries(
    rows.flatMap((row, n) =>
      Object.entries(wanted)
        .filter(([field]) => isBlank(row[field as keyof T]))
        .map(([field, why]) => [`${path}.${n}.${field}`, why as string]),
    ),
  );
}

/** Every sentence of a list that says nothing. */
export const unsaid = (path: string, texts: readonly string[]): Errors =>
  Object.fromEntries(
    texts.flatMap((text, n) => (isBlank(text) ? [[`${path}.${n}`, 'Say it, or take the line out.']] : [])),
  );

/** The fields that are empty and must not be. */
export function needed<T>(value: T, wanted: Partial<Record<keyof T & string, string>>): Errors {
  return Object.fromEntries(
    Object.entries(wanted)
      .filter(([field]) => isBlank(value[field as keyof T]))
      .map(([field, why]) => [field, why as string]),
  );
}

export const isBlank = (value: unknown) =>
  value === null || value === undefined || (typeof value === 'string' && value.trim() === '');

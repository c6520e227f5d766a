// Writes how long texts and lists may be, as the API document says it, into a file small enough for the forms.
import { readFileSync, writeFileSync } from 'node:fs';

const schemas = JSON.parse(readFileSync('openapi.json', 'utf8')).components.schemas;

/** A text: its most characters; a list: its most entries and their rule; a record: its name; else nothing. */
function rule(schema) {
  const said = schema?.oneOf ? schema.oneOf[0] : schema;
  if (said?.$ref) return said.$ref.split('/').at(-1);
  if (said?.maxItems !== undefined) return [said.maxItems, rule(said.items) ?? 0];
  return said?.maxLength;
}

const all = {};
for (const [name, schema] of Object.entries(schemas)) {
  const rules = Object.entries(schema.properties ?? {})
    .map(([property, said]) => [property, rule(said)])
    .filter(([, found]) => found !== undefined);
  all[name] = Object.fromEntries(rules);
}
/** A record in which nothing has a limit is left out, and whatever points at it. */
const isEmpty = (found) => typeof found === 'string' && Object.keys(all[found] ?? {}).length === 0;
for (let changed = true; changed; ) {
  changed = false;
  for (const rules of Object.values(all))
    for (const [property, found] of Object.entries(rules))
      if (isEmpty(found)) {
        delete rules[property];
        changed = true;
      }
}
for (const name of Object.keys(all)) if (Object.keys(all[name]).length === 0) delete all[name];
writeFileSync('src/api/limits.json', `${JSON.stringify(all)}\n`);

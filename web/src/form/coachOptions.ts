type Named = { id: string; name: string };

const plainly = (text: string) => text.trim().toLowerCase();

/**
 * Whom a class may be given by: the coaches, what is written already, a name that is being typed and is nobody's, and those
 * who train here. Each stands there once, whatever is read later than something else.
 */
export function coachOptions(
  coaches: Named[],
  people: Named[],
  value: string | null,
  called: string,
  typed: string,
) {
  const taken = new Set<string>();
  const once = (all: { value: string; label: string }[]) =>
    all.filter((one) => {
      if (taken.has(one.value)) return false;
      taken.add(one.value);
      return true;
    });
  const options = (all: Named[]) => once(all.map((one) => ({ value: one.id, label: one.name })));
  const coach = { group: 'Coaches', items: options(coaches) };
  const train = { group: 'Who trains here', items: options(people) };
  const text = typed.trim();
  const isSomebodys =
    text === '' ||
    [...coaches, ...people].some((one) => plainly(one.name) === plainly(text)) ||
    [called, value ?? ''].some((one) => plainly(one) === plainly(text));
  const written = {
    group: 'As written',
    items: once([
      ...(value ? [{ value, label: called }] : []),
      ...(isSomebodys ? [] : [{ value: text, label: `${text}, who does not train here` }]),
    ]),
  };
  return [coach, written, train].filter((group) => group.items.length > 0);
}

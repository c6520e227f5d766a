import type { MapIndex } from '../api/map';

type Option = { value: string; label: string };

const byLabel = (a: Option, b: Option) => a.label.localeCompare(b.label);

/** Positions to choose from: those that fit first, then the rest. */
export function positionOptions(map: MapIndex, fitting: string[] = [], withTap = false) {
  const label = (id: string) => (id === 'TAP' ? 'Tap' : (map.position.get(id)?.name ?? id));
  const rest = [...map.position.values()]
    .filter((p) => !p.retired && !fitting.includes(p.id))
    .map((p) => ({ value: p.id, label: p.name }))
    .sort(byLabel);
  if (withTap && !fitting.includes('TAP')) rest.unshift({ value: 'TAP', label: 'Tap' });
  const fits = fitting.map((id) => ({ value: id, label: label(id) }));
  return fits.length > 0
    ? [
        { group: 'Fits', items: fits },
        { group: 'Others', items: rest },
      ]
    : rest;
}

/** Techniques to choose from: those that fit first, then the rest. */
export function techniqueOptions(map: MapIndex, fitting: string[] = []) {
  const rest = map.data.techniques
    .filter((t) => !t.retired && !fitting.includes(t.id))
    .map((t) => ({ value: t.id, label: t.name }))
    .sort(byLabel);
  const fits = fitting.map((id) => ({ value: id, label: map.technique.get(id)?.name ?? id }));
  return fits.length > 0
    ? [
        { group: 'Fits here', items: fits },
        { group: 'Others', items: rest },
      ]
    : rest;
}

/** Links to choose from, by technique and where they start. */
export const linkOptions = (map: MapIndex) =>
  map.data.links
    .filter((l) => !l.retired)
    .map((l) => ({
      value: l.id,
      label: `${map.technique.get(l.technique)?.name} from ${map.position.get(l.from)?.name} to ${map.position.get(l.to)?.name ?? 'tap'}`,
    }))
    .sort(byLabel);

import { Stone } from '../ui/Stone';
import { count } from '../ui/words';
import hill from './Hillside.module.css';
import classes from './Legend.module.css';
import { SOILS, type SoilKind } from './soil';

type Props = {
  soil?: Record<string, string>;
  worst?: Record<string, number>;
  /** The one kind that is shown; null: all. */
  only: string | null;
  onOnly: (kind: string | null) => void;
};

const STONES = [
  { severity: 3, word: 'blocks' },
  { severity: 2, word: 'warns' },
  { severity: 1, word: 'notes' },
];

/** What the bands and stones mean and how many plots carry each; a tap shows only those. */
export function Legend({ soil = {}, worst = {}, only, onOnly }: Props) {
  const bands = (Object.keys(SOILS) as SoilKind[]).map((kind) => ({
    key: kind as string,
    n: Object.values(soil).filter((s) => s === kind).length,
    sign: <span className={`${classes.swatch} ${hill[kind.toLowerCase()]}`} />,
    word: SOILS[kind] as string,
  }));
  const stones = STONES.map(({ severity, word }) => ({
    key: `STONE_${severity}`,
    n: Object.values(worst).filter((s) => s === severity).length,
    sign: <Stone severity={severity} size={18} />,
    word,
  }));
  return [...bands, ...stones]
    .filter((entry) => entry.n > 0)
    .map((entry) => (
      <button
        key={entry.key}
        type="button"
        className={classes.entry}
        aria-pressed={only === entry.key}
        title={
          only === entry.key ? 'Show all plots' : `Show only ${count(entry.n, 'this plot', 'these plots')}`
        }
        onClick={() => onOnly(only === entry.key ? null : entry.key)}
      >
        {entry.sign}
        <strong>{entry.n}</strong> {entry.word}
      </button>
    ));
}

/** Plots that the legend's choice leaves out. */
export function hiddenBy(
  only: string | null,
  ids: Iterable<string>,
  soil?: Record<string, string>,
  worst?: Record<string, number>,
): Set<string> | undefined {
  if (!only) return undefined;
  const shows = (id: string) =>
    only.startsWith('STONE_') ? worst?.[id] === Number(only.slice(6)) : soil?.[id] === only;
  return new Set([...ids].filter((id) => !shows(id)));
}

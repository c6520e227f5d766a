import hill from './Hillside.module.css';
import classes from './Legend.module.css';

const WORDS: Record<string, string> = {
  BARE: 'bare',
  PLOUGHED: 'drilled',
  GREEN: 'passed',
  WEED: 'gone to weed',
  REACHED: 'reached',
  UNREACHED: 'not reached',
};

type Props = { soil: Record<string, string>; hidden: string | null; onHide: (soil: string | null) => void };

/** What the bands of soil mean, how many plots carry each; a tap hides one kind. */
export function Legend({ soil, hidden, onHide }: Props) {
  const kinds = Object.keys(WORDS).filter((kind) => Object.values(soil).includes(kind));
  return (
    <div className={classes.legend}>
      {kinds.map((kind) => (
        <button
          key={kind}
          type="button"
          aria-pressed={hidden === kind}
          title={hidden === kind ? 'Show these plots' : 'Hide these plots'}
          onClick={() => onHide(hidden === kind ? null : kind)}
        >
          <span className={`${classes.swatch} ${hill[kind.toLowerCase()]}`} />
          {Object.values(soil).filter((s) => s === kind).length} {WORDS[kind]}
          {hidden === kind ? ' (hidden)' : ''}
        </button>
      ))}
    </div>
  );
}

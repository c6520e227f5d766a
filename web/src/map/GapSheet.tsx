import type { MapIndex } from '../api/queries';
import type { Finding } from '../api/types';
import { Finding as StoneFinding } from '../ui/Stone';
import { count } from '../ui/words';
import classes from './DecisionSheet.module.css';

type Props = {
  map: MapIndex;
  title: string;
  findings: Finding[];
  onSelect: (position: string) => void;
  onClose: () => void;
};

/** What the eyes one looks through leave open, the worst first. */
export function GapSheet({ map, title, findings, onSelect, onClose }: Props) {
  return (
    <aside className={classes.sheet} aria-label={`What is open: ${title}`} data-sheet>
      <h2>{title}</h2>
      <p className="quiet">{count(findings.length, 'finding', 'findings')}, the worst first.</p>
      <button type="button" className={classes.close} aria-label="Close the sheet" onClick={onClose}>
        ×
      </button>
      <ul style={{ padding: 0, margin: 0 }}>
        {findings.map((f) => (
          <StoneFinding
            key={`${f.code} ${f.position} ${f.technique} ${f.reaction}`}
            severity={f.severity}
            action={
              f.mend && (
                <span className="quiet">
                  Smallest mend: {f.mend.techniques.map((t) => map.technique.get(t)?.name).join(', ')} (
                  {f.mend.way.join('; ')})
                </span>
              )
            }
          >
            {f.position ? (
              <button type="button" className="plain" onClick={() => onSelect(f.position)}>
                {f.sentence}
              </button>
            ) : (
              f.sentence
            )}
          </StoneFinding>
        ))}
      </ul>
      {findings.length === 0 && <p>Nothing is open here.</p>}
    </aside>
  );
}

import type { Promotion } from '../api/types';
import { conditionLabel, figureInWords, VERDICT } from '../ui/words';
import classes from './Given.module.css';

type Props = { verdict: Promotion['verdict'] | undefined; figures: Promotion['figures'] };

/** How somebody stood at the moment of a decision, and what that rested on. */
export function Figures({ verdict, figures }: Props) {
  if (figures.length === 0) return null;
  return (
    <details>
      <summary>{verdict ? VERDICT[verdict] : 'No verdict'} at that moment</summary>
      <ul className={classes.figures}>
        {figures.map((figure) => (
          <li key={figure.label}>
            {figure.met ? '✓' : '○'} {conditionLabel(figure)}{' '}
            <span className="quiet">{figureInWords(figure)}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

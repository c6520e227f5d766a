import type { LadderView, SyllabusLook } from '../api/types';
import classes from './RankPage.module.css';

type Found = SyllabusLook['opened'][number];

/** What the last change of this page opened or closed, and what it did to the time. */
export function LastChange({ view, rank, look }: { view: LadderView; rank: string; look: SyllabusLook }) {
  const where = (found: Found) =>
    found.rank === rank ? '' : `${view.ladder.ranks.find((one) => one.id === found.rank)?.name}: `;
  const minutes = Math.round(look.after) - Math.round(look.before);
  return (
    <section role="status" className={classes.last} aria-label="What your last change did">
      <h2>Your last change</h2>
      <ul>
        {look.closed.map((found) => (
          <li key={`c ${found.rank} ${found.finding.sentence}`}>
            <strong>Closed</strong> {where(found)}
            {found.finding.sentence}
          </li>
        ))}
        {look.opened.map((found) => (
          <li key={`o ${found.rank} ${found.finding.sentence}`}>
            <strong>Opened</strong> {where(found)}
            {found.finding.sentence}
          </li>
        ))}
        {look.closed.length + look.opened.length === 0 && <li>It fits: nothing opened, nothing closed.</li>}
        {minutes !== 0 && (
          <li>
            {minutes > 0 ? 'Takes' : 'Saves'} about {Math.abs(minutes)} minutes of teaching; now{' '}
            {Math.round(look.after)}
            {look.available > 0 && ` of ${Math.round(look.available)}`}.
          </li>
        )}
      </ul>
    </section>
  );
}

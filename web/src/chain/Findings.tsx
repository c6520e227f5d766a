import type { MapIndex } from '../api/queries';
import type { ChainReport } from '../api/types';
import { Scroll } from '../ui/Scroll';
import { Finding } from '../ui/Stone';
import { count, percent } from '../ui/words';
import classes from './ChainEditor.module.css';

/** The measures of a chain and what the check has to say about it. */
export function Findings({ map, report }: { map: MapIndex; report: ChainReport }) {
  const weakest = map.technique.get(map.link.get(report.weakestLink)?.technique ?? '')?.name;
  return (
    <Scroll label="Findings" className={classes.findings}>
      <h2>{report.depth === 0 ? 'Nothing yet' : `${count(report.depth, 'step', 'steps')} deep`}</h2>
      {report.depth === 0 && (
        <p className="quiet">
          With the first step you see here how deep it is, what it answers of what they do, and how likely it
          ends.
        </p>
      )}
      {report.depth > 0 && (
        <>
          <dl className={classes.measures}>
            <dt>Turn-offs</dt>
            <dd>{report.turnOffs}</dd>
            <dt>Answers, of what they do</dt>
            <dd>{percent(report.answeredShare)}</dd>
            <dt>Chance to finish</dt>
            <dd>{percent(report.chanceToFinish)}</dd>
            <dt>… or settle on top</dt>
            <dd>{percent(report.chanceToSettle)}</dd>
          </dl>
          <p className="quiet">
            Weakest link: {weakest} ({percent(report.weakestChance)}). Chances come from logged rounds or are
            usual for the family; reactions count evenly.
          </p>
        </>
      )}
      <ul>
        {[...report.findings]
          .sort((a, b) => b.severity - a.severity)
          .map((f) => (
            <Finding key={`${f.code} ${f.step} ${f.link} ${f.reaction} ${f.sentence}`} severity={f.severity}>
              {f.sentence}
              {f.share > 0 && <span className="quiet"> {percent(f.share)} of what they do.</span>}
            </Finding>
          ))}
      </ul>
    </Scroll>
  );
}

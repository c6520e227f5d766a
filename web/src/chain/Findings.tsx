import type { MapIndex } from '../api/map';
import { useChains } from '../api/map';
import type { ChainReport } from '../api/types';
import { Scroll } from '../ui/Scroll';
import { Finding } from '../ui/Stone';
import { count, percent, points } from '../ui/words';
import classes from './ChainEditor.module.css';
import { RulesPick, useChainRules } from './rules';

/** The measures of a chain and what the check has to say about it. */
export function Findings({ map, report }: { map: MapIndex; report: ChainReport }) {
  const weakest = map.technique.get(map.link.get(report.weakestLink ?? '')?.technique ?? '')?.name;
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
          <RulesPick map={map} />
          <dl className={classes.measures}>
            <dt>Chance to finish</dt>
            <dd>{percent(report.chanceToFinish)}</dd>
            <dt>… or settle on top</dt>
            <dd>{percent(report.chanceToSettle)}</dd>
            <NetPoints report={report} />
            <dt>Turn-offs</dt>
            <dd>{report.turnOffs}</dd>
            <dt>Answers, of what they do</dt>
            <dd>{percent(report.answeredShare)}</dd>
            <dt>Minutes to introduce</dt>
            <dd>{Math.round(report.taught.minutes)}</dd>
          </dl>
          <p className="quiet">
            Weakest link: {weakest} ({percent(report.weakestChance)}). Chances and reactions come from logged
            rounds, and from what is usual where there are few.
          </p>
          <ForWhom map={map} report={report} />
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

/** What it scores on average, mine less theirs; only where something scores at all. */
function NetPoints({ report }: { report: ChainReport }) {
  const [rules] = useChainRules();
  const net = rules === null ? undefined : report.netPoints[rules];
  if (!net) return null;
  return (
    <>
      <dt>Points, on average</dt>
      <dd>{points(net)}</dd>
    </>
  );
}

const MOST_OTHERS = 3;

/** Who is taught it, what the receiver has passed before, and which chains already hold a part of it. */
function ForWhom({ map, report }: { map: MapIndex; report: ChainReport }) {
  const chains = useChains();
  const { ages, falls } = report.taught;
  const others = report.overlaps
    .slice(0, MOST_OTHERS)
    .map((o) => `${chains.data?.find((v) => v.chain.id === o.chain)?.chain.name ?? o.chain} (${o.shared})`);
  return (
    <>
      {ages.never && <p>Not for training, at any age.</p>}
      {!ages.never && ages.from > 0 && (
        <p>
          From {ages.from} years
          {ages.shownBelow > ages.from && `, only shown up to ${ages.shownBelow - 1}`}.
        </p>
      )}
      {falls.length > 0 && (
        <p>
          The receiver has passed {falls.map((id) => map.technique.get(id)?.name.toLowerCase()).join(', ')}.
        </p>
      )}
      {others.length > 0 && (
        <p className="quiet">
          Shares links with {others.join(', ')}
          {report.overlaps.length > MOST_OTHERS &&
            ` and ${count(report.overlaps.length - MOST_OTHERS, 'other', 'others')}`}
          .
        </p>
      )}
    </>
  );
}

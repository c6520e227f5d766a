import { Link } from 'react-router';
import { useSession } from '../../api/club';
import { useLadders } from '../../api/ladders';
import { type MapIndex, useChains } from '../../api/map';
import type { ChainStep, TechniqueCard } from '../../api/types';
import { count, percent } from '../../ui/words';
import classes from './TechniquePage.module.css';

const usesLink = (step: ChainStep | null, links: Set<string>): boolean =>
  step !== null && (links.has(step.link) || step.next.some((turn) => usesLink(turn.step, links)));

/** Uses place by place: the likeliest of them, and the reactions that it answers there. */
function usesByPosition(uses: TechniqueCard['uses']) {
  const places = new Map<string, TechniqueCard['uses']>();
  for (const use of uses) places.set(use.from, [...(places.get(use.from) ?? []), use]);
  return [...places].map(([from, here]) => ({
    from,
    best: here.reduce((a, b) => (b.chance.estimate > a.chance.estimate ? b : a)),
    finishes: here.reduce((sum, use) => sum + use.finishes, 0),
    whens: here.flatMap((use) => (use.when ? [use.when] : [])),
  }));
}

/** Positions with how often it works from there, chains, and the ranks that teach it. */
export function WhereUsed({ map, card }: { map: MapIndex; card: TechniqueCard }) {
  const isCoach = useSession().data?.role !== 'VIEWER';
  const chains = useChains();
  const ladders = useLadders();
  const links = new Set(card.uses.map((use) => use.link));
  const inChains = (chains.data ?? []).filter(({ chain }) => !chain.retired && usesLink(chain.first, links));
  const ranks = (ladders.data ?? []).flatMap((view) => {
    const rank = view.ladder.ranks.find((r) => r.id === view.taughtAt[card.technique.id]);
    return rank ? [{ ladder: view.ladder, rank }] : [];
  });
  return (
    <>
      {card.uses.length > 0 && <h2>Used from</h2>}
      <ul className={classes.uses}>
        {usesByPosition(card.uses).map(({ from, best, whens, finishes }) => (
          <li key={from}>
            <Link to={`/map?at=${from}`}>{map.position.get(from)?.name}</Link>
            <span className={classes.chance} title={`${best.chance.tries} tries in logged rounds`}>
              {percent(best.chance.estimate)}
              <span className="quiet"> {best.chance.tries === 0 ? 'usual' : `of ${best.chance.tries}`}</span>
            </span>
            {isCoach && finishes > 0 && (
              <Link className={classes.whens} to={`/rounds?at=${from}&with=${card.technique.id}`}>
                {count(finishes, 'round', 'rounds')} ended so
              </Link>
            )}
            {whens.length > 0 && (
              <span className={`quiet ${classes.whens}`}>
                if {whens.map((when) => map.reaction.get(when)?.text).join('; if ')}
              </span>
            )}
          </li>
        ))}
      </ul>
      {inChains.length > 0 && <h2>In chains</h2>}
      <ul>
        {inChains.map(({ chain }) => (
          <li key={chain.id}>
            <Link to={`/chains/${chain.id}`}>{chain.name}</Link>
          </li>
        ))}
      </ul>
      {ranks.length > 0 && <h2>Taught at</h2>}
      <ul>
        {ranks.map(({ ladder, rank }) => (
          <li key={ladder.id}>
            <Link to={`/ranks/${ladder.id}/${rank.id}`}>
              {rank.name}, {ladder.name.toLowerCase()}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

import { useDebouncedValue } from '@mantine/hooks';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { type Problem, send } from '../api/client';
import type { RulesChange, Ruleset } from '../api/types';
import { count, percent, points } from '../ui/words';
import classes from './Rules.module.css';

const FIRST = 8;

const some = (names: string[]) =>
  names.slice(0, FIRST).join(', ') + (names.length > FIRST ? ` and ${names.length - FIRST} more` : '');

type Under = RulesChange['chains'][number]['before'];

const under = ({ isLegal, finish, points: paid }: Under) =>
  isLegal ? `${percent(finish)} to finish, ${points(paid ?? 0)} points` : 'not legal';

/** What the rules as they are typed would change, before they are kept. */
export function WhatChanges({ rules, like, from }: { rules: Ruleset; like: string; from: string }) {
  const [asked] = useDebouncedValue(rules, 400);
  const query = useQuery<RulesChange, Problem>({
    queryKey: ['map', 'rules-look', like, asked],
    queryFn: () =>
      send('POST', `/map/rulesets/look?like=${encodeURIComponent(like)}`, { ...asked, id: like }),
    placeholderData: keepPreviousData,
    retry: false,
  });
  return (
    <aside className={classes.look} aria-label="What this changes" aria-live="polite">
      <h3>Against {from}</h3>
      {query.isError && <p role="alert">{query.error.message}</p>}
      {query.isPending && <p className="quiet">Looking …</p>}
      {query.data && <Said change={query.data} />}
    </aside>
  );
}

function Said({ change }: { change: RulesChange }) {
  const { forbidden, allowed, chains, ladders } = change;
  const isSame =
    forbidden.length + allowed.length + chains.length + ladders.length === 0 &&
    change.reachedBefore === change.reachedAfter &&
    change.gapsBefore === change.gapsAfter;
  if (isSame) return <p>Nothing changes yet in techniques, chains, ranks, gaps or reach.</p>;
  return (
    <>
      {forbidden.length > 0 && (
        <p>
          <strong>No longer legal</strong>: {some(forbidden)}.
        </p>
      )}
      {allowed.length > 0 && (
        <p>
          <strong>Legal now</strong>: {some(allowed)}.
        </p>
      )}
      {chains.length > 0 && (
        <>
          <p>
            <strong>{count(chains.length, 'chain is', 'chains are')} worth something else</strong>
          </p>
          <ul>
            {chains.slice(0, FIRST).map((one) => (
              <li key={one.chain}>
                {one.name}: {under(one.before)} → {under(one.after)}
              </li>
            ))}
            {chains.length > FIRST && <li>and {chains.length - FIRST} more</li>}
          </ul>
        </>
      )}
      {ladders.map(({ ladder, name, changes }) => (
        <div key={ladder}>
          <p>
            <strong>{name}</strong>: {count(changes.opened.length, 'finding opens', 'findings open')},{' '}
            {changes.closed.length} close.
          </p>
          <ul>
            {changes.opened.slice(0, 4).map(({ rank, finding }) => (
              <li key={`${rank} ${finding.sentence}`}>{finding.sentence}</li>
            ))}
          </ul>
        </div>
      ))}
      <p>
        Reached: {change.reachedBefore} → {change.reachedAfter} positions. Gaps of the map:{' '}
        {change.gapsBefore} → {change.gapsAfter}.
      </p>
    </>
  );
}

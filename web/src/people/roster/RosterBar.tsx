import { Button, SegmentedControl, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { type Mind, type RosterWanted, useMinds } from '../../api/people';
import type { LadderView, Track } from '../../api/types';
import { SearchInput } from '../../form/SearchInput';
import { rankOptions } from '../../rank/ladders';
import { count } from '../../ui/words';
import classes from './PeoplePage.module.css';
import { storedViews, storeViews, withView } from './views';

/** The reasons to look at somebody, as a coach says them. */
const MINDS: [Mind, string][] = [
  ['READY', 'ready'],
  ['ABSENT', 'absent 3 weeks'],
  ['BIRTHDAY', 'birthday in 30 days'],
  ['BAND', 'outgrow the ladder'],
  ['MEMBERSHIP', 'membership runs out'],
  ['WEIGHT', 'old weight'],
  ['LIMITED', 'limited'],
  ['HELD', 'held back'],
  ['BROUGHT', 'came with a belt: what do they know?'],
  ['FALLS', 'falls not seen here'],
];

type Props = {
  wanted: RosterWanted;
  shown: number;
  total: number;
  views: LadderView[];
  tracks: Track[];
  isCoach: boolean;
  set: (change: Record<string, string | null>) => void;
  /** The address of this view, and how to go to another one. */
  query: string;
  onView: (query: string) => void;
};

/** Whom to list: by name, track, rank and reason; a view that is used again gets a name. */
export function RosterBar({ wanted, shown, total, views, tracks, isCoach, set, query, onView }: Props) {
  const minds = useMinds();
  return (
    <>
      <div className={classes.bar}>
        <SearchInput
          aria-label="Search people"
          placeholder="Search by name or card"
          value={wanted.find}
          onChange={(find) => set({ find })}
          w={220}
        />
        <Select
          aria-label="Track"
          placeholder="Any track"
          clearable
          w={160}
          data={tracks.map((track) => ({ value: track.id, label: track.name }))}
          value={wanted.track}
          onChange={(track) => set({ track })}
        />
        <Select
          aria-label="Rank"
          placeholder="Any rank"
          clearable
          searchable
          w={170}
          data={rankOptions(views, (ladder, rank) => `${ladder.id}/${rank.id}`)}
          value={wanted.rank}
          onChange={(rank) => set({ rank })}
        />
        <SegmentedControl
          aria-label="Whom to list"
          value={wanted.who}
          onChange={(who) => set({ who: who === 'training' ? null : who, mind: null })}
          data={[
            { value: 'training', label: 'Training' },
            { value: 'guests', label: 'Guests' },
            { value: 'left', label: 'Left' },
          ]}
        />
        <span className="quiet" role="status">
          {shown < total ? `${shown} of ${total}` : count(total, 'person', 'people')}
        </span>
      </div>
      {wanted.who === 'training' && (
        <fieldset className={classes.minds_bar}>
          <legend className="unseen">Whom to keep in mind</legend>
          {MINDS.filter(([mind]) => (minds.data?.[mind] ?? 0) > 0 || wanted.mind === mind).map(
            ([mind, word]) => (
              <button
                key={mind}
                type="button"
                aria-pressed={wanted.mind === mind}
                onClick={() => set({ mind: wanted.mind === mind ? null : mind })}
              >
                <strong>{minds.data?.[mind] ?? 0}</strong> {word}
              </button>
            ),
          )}
          {isCoach && <Kept query={query} onView={onView} />}
        </fieldset>
      )}
    </>
  );
}

/** Views with a name, kept in this browser. */
function Kept({ query, onView }: { query: string; onView: (query: string) => void }) {
  const [views, setViews] = useState(() => storedViews());
  const [name, setName] = useState<string | null>(null);
  const keep = (next: typeof views) => {
    storeViews(next);
    setViews(next);
  };
  const here = views.find((view) => view.query === query);
  return (
    <>
      {views.map((view) => (
        <button
          key={view.name}
          type="button"
          className={classes.view}
          aria-pressed={view === here}
          onClick={() => onView(view === here ? '' : view.query)}
        >
          {view.name}
        </button>
      ))}
      {here ? (
        <Button
          variant="subtle"
          size="compact-sm"
          onClick={() => keep(views.filter((view) => view !== here))}
        >
          Forget this view
        </Button>
      ) : (
        query &&
        (name === null ? (
          <Button variant="subtle" size="compact-sm" onClick={() => setName('')}>
            Keep this view
          </Button>
        ) : (
          <form
            className={classes.name}
            onSubmit={(event) => {
              event.preventDefault();
              if (name.trim()) keep(withView(views, { name: name.trim().slice(0, 40), query }));
              setName(null);
            }}
          >
            <TextInput
              aria-label="Name of this view"
              placeholder="A name, then Enter"
              autoFocus
              size="xs"
              value={name}
              onChange={(event) => setName(event.currentTarget.value)}
            />
          </form>
        ))
      )}
    </>
  );
}

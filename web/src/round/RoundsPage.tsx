import { Button, SegmentedControl, Select } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { newId } from '../api/client';
import { useSession } from '../api/club';
import { type MapIndex, useMap } from '../api/map';
import { useToday, useTracks } from '../api/mat';
import { useNames } from '../api/people';
import { useLeaks, useRounds } from '../api/rounds';
import type { Name, Round } from '../api/types';
import { positionOptions, techniqueOptions } from '../form/pickers';
import { PageHead } from '../frame/PageHead';
import { withRounds } from '../record/overlay';
import { useWaiting } from '../record/Recording';
import { nth } from '../ui/lists';
import { PrintFoot } from '../ui/PrintFoot';
import { Scroll } from '../ui/Scroll';
import { Loaded } from '../ui/States';
import { count, date } from '../ui/words';
import { CaughtHill } from './CaughtHill';
import { endInWords } from './card';
import { LeakList } from './LeakList';
import classes from './Round.module.css';
import { type Card, RoundCard } from './RoundCard';

const SPANS = [
  { value: '30', label: 'Month' },
  { value: '90', label: 'Three months' },
  { value: '365', label: 'Year' },
];

const KINDS = [
  { value: 'LIVE', label: 'Live' },
  { value: 'POSITIONAL', label: 'From a position' },
  { value: 'COMPETITION', label: 'Competition' },
];

const OUTSIDE = 'outside';

/** What members are caught with, and the evenings with the cards of their rounds. */
export function RoundsPage() {
  const map = useMap();
  const role = useSession().data?.role;
  return (
    <>
      <PageHead title="Rounds" />
      <Loaded query={map}>{(index) => <Rounds map={index} isCoach={role !== 'VIEWER'} />}</Loaded>
    </>
  );
}

function Rounds({ map, isCoach }: { map: MapIndex; isCoach: boolean }) {
  const [params, setParams] = useSearchParams();
  const days = SPANS.find((one) => one.value === params.get('days'))?.value ?? '90';
  const kind = KINDS.find((one) => one.value === params.get('kind'))?.value ?? null;
  const by = isCoach ? params.get('by') : null;
  const leaks = useLeaks(Number(days), kind, by);
  const names = useNames();
  const navigate = useNavigate();
  const whom = names.data?.find((one) => one.id === by)?.calledBy;
  const set = (key: string, value: string | null) =>
    setParams(
      (before) => {
        if (value) before.set(key, value);
        else before.delete(key);
        return before;
      },
      { replace: true },
    );
  return (
    <Scroll label="Rounds" className={classes.body}>
      <div className={classes.bar} data-no-print>
        <SegmentedControl
          aria-label="How far back"
          data={SPANS}
          value={days}
          onChange={(value) => set('days', value)}
        />
        <Select
          aria-label="Which rounds"
          placeholder="Live and competition"
          clearable
          w={200}
          data={KINDS}
          value={kind}
          onChange={(value) => set('kind', value)}
        />
      </div>
      {leaks.data && leaks.data.leaks.length > 0 && (
        <CaughtHill
          map={map}
          view={leaks.data}
          onSelect={(at) => (isCoach ? set('at', at) : navigate(`/map?at=${at}`))}
        />
      )}
      <div className={isCoach ? classes.columns : undefined}>
        <section aria-label="Caught with">
          <h2>What {by ? `${whom ?? 'this student'} is` : 'we are'} caught with</h2>
          <Loaded query={leaks}>
            {(view) => (
              <>
                <p className="quiet">
                  {count(view.rounds, 'round', 'rounds')} since {date(view.from)}.
                </p>
                <LeakList view={view} map={map} />
              </>
            )}
          </Loaded>
        </section>
        {isCoach && <Evenings map={map} params={params} set={set} kind={kind} />}
      </div>
      <PrintFoot />
    </Scroll>
  );
}

type EveningsProps = {
  map: MapIndex;
  params: URLSearchParams;
  set: (key: string, value: string | null) => void;
  kind: string | null;
};

/** The evenings with their cards, narrowed by who, where and with what. */
function Evenings({ map, params, set, kind }: EveningsProps) {
  const [page, setPage] = useState(0);
  const names = useNames();
  const tracks = useTracks();
  const waiting = useWaiting();
  const wanted = {
    by: params.get('by'),
    position: params.get('at'),
    technique: params.get('with'),
    track: params.get('track'),
    kind,
  };
  const isNarrowed = Object.values(wanted).some(Boolean);
  const rounds = useRounds({ ...wanted, page });
  const [card, setCard] = useState<Card | null>(null);
  const people = names.data ?? [];
  const known = new Map(people.map((one) => [one.id, one.name]));
  const nameOf = (id: string | null) =>
    id === null ? 'Outside' : (known.get(id) ?? rounds.data?.names[id] ?? 'Somebody');
  const narrow = (key: string) => (value: string | null) => {
    setPage(0);
    set(key, value);
  };
  return (
    <section aria-label="Evenings">
      <h2>The rounds</h2>
      <NewCard people={people} onCard={setCard} />
      <div className={classes.bar} data-no-print>
        <Select
          aria-label="Who"
          placeholder="Anybody"
          searchable
          clearable
          limit={40}
          w={170}
          data={people.map((one) => ({ value: one.id, label: one.name }))}
          value={wanted.by}
          onChange={narrow('by')}
        />
        <Select
          aria-label="From where"
          placeholder="From anywhere"
          searchable
          clearable
          limit={60}
          w={190}
          data={positionOptions(map)}
          value={wanted.position}
          onChange={narrow('at')}
        />
        <Select
          aria-label="With what"
          placeholder="With anything"
          searchable
          clearable
          limit={60}
          w={190}
          data={techniqueOptions(map)}
          value={wanted.technique}
          onChange={narrow('with')}
        />
        <Select
          aria-label="Track"
          placeholder="Any track"
          clearable
          w={150}
          data={(tracks.data?.tracks ?? []).map((one) => ({ value: one.id, label: one.name }))}
          value={wanted.track}
          onChange={narrow('track')}
        />
      </div>
      <Loaded query={rounds}>
        {(found) => {
          const all = page === 0 && !isNarrowed ? withRounds(found.rounds, waiting) : found.rounds;
          return (
            <>
              {all.length === 0 && (
                <p>
                  {isNarrowed
                    ? 'No round is like that. Take a filter away.'
                    : 'No round is written down yet. Choose two people above, or touch a pair at the mat.'}
                </p>
              )}
              {byEvening(all).map(([day, its]) => (
                <section key={day}>
                  <h3>{date(day)}</h3>
                  <ul className={classes.rounds}>
                    {its.map((round) => (
                      <li key={round.id}>
                        <span>
                          {nameOf(round.first)} and {nameOf(round.second)}
                          <small>
                            {endInWords(round, map, nameOf)}
                            {round.words && ` · “${round.words}”`}
                            {round.kind === 'COMPETITION' && ' · competition'}
                          </small>
                        </span>
                        {round.events.length === 0 ? (
                          <Button variant="subtle" data-no-print onClick={() => setCard(round)}>
                            Correct
                          </Button>
                        ) : (
                          <small>logged move by move</small>
                        )}
                      </li>
                    ))}
                  </ul>
                </section>
              ))}
              {found.total > found.size && (
                <div className={classes.acts} data-no-print>
                  <Button variant="default" disabled={page === 0} onClick={() => setPage(page - 1)}>
                    Later
                  </Button>
                  <span className="quiet">
                    {page * found.size + 1} to {Math.min(found.total, (page + 1) * found.size)} of{' '}
                    {found.total}
                  </span>
                  <Button
                    variant="default"
                    disabled={(page + 1) * found.size >= found.total}
                    onClick={() => setPage(page + 1)}
                  >
                    Earlier
                  </Button>
                </div>
              )}
            </>
          );
        }}
      </Loaded>
      {card && <RoundCard key={card.id} card={card} map={map} nameOf={nameOf} onDone={() => setCard(null)} />}
    </section>
  );
}

const dayOf = (round: Round, now: string) => (round.at ?? now).slice(0, 10);

/** Rounds by the day they were, the latest first. */
function byEvening(rounds: Round[]): [string, Round[]][] {
  const days = new Map<string, Round[]>();
  for (const round of rounds) {
    const day = dayOf(round, new Date().toISOString());
    days.set(day, [...(days.get(day) ?? []), round]);
  }
  return [...days].sort(([a], [b]) => b.localeCompare(a));
}

/** Two people, or one and somebody from outside: then the card of their round. */
function NewCard({ people, onCard }: { people: Name[]; onCard: (card: Card) => void }) {
  const [first, setFirst] = useState<string | null>(null);
  const [second, setSecond] = useState<string | null>(null);
  const [isBout, setBout] = useState(false);
  const today = useToday();
  const options = people.map((one) => ({ value: one.id, label: one.name }));
  return (
    <div data-no-print data-day={today}>
      <div className={classes.new}>
        <Select
          label="Who"
          placeholder="Somebody here"
          searchable
          limit={40}
          data={options}
          value={first}
          onChange={setFirst}
        />
        <Select
          label="With"
          placeholder="Or outside"
          searchable
          limit={40}
          data={[
            { value: OUTSIDE, label: 'Somebody from outside' },
            ...options.filter((one) => one.value !== first),
          ]}
          value={second}
          onChange={setSecond}
        />
        <Button
          disabled={!first || !second || first === second}
          onClick={() => {
            if (!first || !second) return;
            onCard({
              id: newId('round'),
              kind: isBout ? 'COMPETITION' : 'LIVE',
              first,
              second: second === OUTSIDE ? null : second,
              classId: null,
              blockId: null,
              number: 0,
            });
          }}
        >
          How did it end?
        </Button>
      </div>
      <SegmentedControl
        mb={12}
        aria-label="What it was"
        data={[nth(KINDS, 0), nth(KINDS, 2)]}
        value={isBout ? 'COMPETITION' : 'LIVE'}
        onChange={(value) => setBout(value === 'COMPETITION')}
      />{' '}
      <Link to="/mat">Pairs of a class are touched at the mat</Link>
    </div>
  );
}

import { Button, SegmentedControl } from '@mantine/core';
import { useMemo, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useSession } from '../../api/club';
import { useMap } from '../../api/map';
import { useCalendar, useClassSheet } from '../../api/mat';
import { useCalls } from '../../api/pairs';
import { useNames } from '../../api/people';
import type { ClassSheet, Name } from '../../api/types';
import { NEW } from '../../form/fields';
import { PageHead, tonight } from '../../frame/PageHead';
import { withGuests, withKnocks, withWaiting } from '../../record/overlay';
import { useWaiting } from '../../record/Recording';
import { Empty, Loaded } from '../../ui/States';
import { date, time } from '../../ui/words';
import { InjuryPanel } from '../injury/InjuryPanel';
import { PairsBoard } from '../pair/PairsBoard';
import { usePairs } from '../pair/usePairs';
import { digits, stretchesOf } from '../run/clock';
import { RunPanel } from '../run/RunPanel';
import { Strip } from '../run/Strip';
import { useAwake } from '../run/useAwake';
import { useClock } from '../run/useClock';
import { Blocks } from './Blocks';
import { CardField } from './CardField';
import { ClassMarks } from './ClassMarks';
import { ContestedNote } from './ContestedNote';
import { Corrections } from './Corrections';
import { GuestAdd } from './GuestAdd';
import { GuestsAsked } from './GuestsAsked';
import { MarkPanel } from './MarkPanel';
import classes from './MatPage.module.css';
import { Tiles } from './Tiles';
import { useBeside } from './useBeside';
import { useCheckIn } from './useCheckIn';

/** Today's classes; the one in hand with its people and blocks. */
export function MatPage() {
  const { id } = useParams();
  const calendar = useCalendar();
  return (
    <Loaded query={calendar}>
      {(today) => {
        const chosen = id ?? tonight(today.classes)?.id;
        return (
          <>
            <PageHead title="Mat" mat={false}>
              <Button component={Link} to="/mat/week" variant="default">
                The week
              </Button>
              <nav className={classes.tabs} aria-label="Today's classes">
                {today.classes.map((c) => (
                  <Link key={c.id} to={`/mat/${c.id}`} aria-current={c.id === chosen ? 'page' : undefined}>
                    {time(c.start)} {today.tracks.find((t) => t.id === c.track)?.name}
                    {c.group && ` · ${c.group}`}
                  </Link>
                ))}
              </nav>
            </PageHead>
            {chosen ? (
              <OpenClass id={chosen} />
            ) : (
              <Empty
                title="No class today"
                steps={
                  today.tracks.length === 0
                    ? [{ label: 'Add a track with its weekly times', to: '/house/tracks' }]
                    : [
                        { label: 'Make a class for today', to: `/mat/${NEW}/plan` },
                        { label: 'Look at the week', to: '/mat/week' },
                      ]
                }
              >
                {today.tracks.length === 0
                  ? 'Classes come from tracks: juniors on Tuesdays at five, and so on.'
                  : 'Today has no class in the calendar.'}
              </Empty>
            )}
          </>
        );
      }}
    </Loaded>
  );
}

const LABELS = { pairs: 'Who with whom', run: 'Run', injury: 'On the mat' } as const;

const MODES = ['here', 'pairs', 'run', 'mark', 'injury'] as const;
type Mode = (typeof MODES)[number];

function OpenClass({ id }: { id: string }) {
  const sheet = useClassSheet(id);
  const names = useNames();
  return (
    <Loaded query={sheet}>
      {(opened) => <Loaded query={names}>{(people) => <Evening sheet={opened} people={people} />}</Loaded>}
    </Loaded>
  );
}

function Evening({ sheet: kept, people: known }: { sheet: ClassSheet; people: Name[] }) {
  const waiting = useWaiting();
  const people = useMemo(() => withKnocks(withGuests(known, waiting), waiting), [known, waiting]);
  const sheet = useMemo(() => withWaiting(kept, waiting), [kept, waiting]);
  const [params, setParams] = useSearchParams();
  const mode = MODES.find((one) => one === params.get('do')) ?? 'here';
  const setMode = (to: Mode) => setParams(to === 'here' ? {} : { do: to }, { replace: true });
  const [student, setStudent] = useState<string | null>(null);
  const [everyone, setEveryone] = useState(false);
  const [adding, setAdding] = useState(false);
  const map = useMap();
  const session = useSession();
  const side = useRef<HTMLElement>(null);
  const { training } = sheet;
  const mayWrite = session.data?.role !== 'VIEWER';
  const here = new Map(sheet.attendance.map((a) => [a.student, a]));
  const shown = people.filter((p) =>
    mode === 'mark' ? here.has(p.id) : everyone || p.tracks.includes(training.track) || here.has(p.id),
  );

  const elsewhere = useBeside(training);
  const { checkIn, leave, move, all, onCard } = useCheckIn(training, here, people);
  const absent = shown.filter((who) => !here.has(who.id) && !elsewhere.has(who.id));
  const pairs = usePairs(sheet, people, mayWrite);
  useCalls(training.id, mayWrite); // kept on the device for an injury without the server
  const stretches = useMemo(() => stretchesOf(training.blocks), [training.blocks]);
  const clock = useClock(training.id, stretches, mayWrite);
  useAwake(clock.dial.runs);

  return (
    <div className={classes.mat}>
      {mode === 'run' && training.blocks.length > 0 && (
        <div className={classes.evening}>
          <Strip blocks={training.blocks} at={clock.at} dial={clock.dial} onTurn={clock.turn} />
        </div>
      )}
      {mode === 'run' || mode === 'pairs' || mode === 'injury' ? (
        <section className={classes.people} aria-label={LABELS[mode]}>
          {mode === 'pairs' && <PairsBoard sheet={sheet} pairs={pairs} />}
          {mode === 'injury' && (
            <InjuryPanel sheet={sheet} people={people} pairs={pairs} onDone={() => setMode('run')} />
          )}
          {mode === 'run' && (
            <Loaded query={map}>
              {(index) => <RunPanel map={index} sheet={sheet} people={people} clock={clock} />}
            </Loaded>
          )}
        </section>
      ) : (
        <section className={classes.people} aria-label="People">
          <div className={classes.bar}>
            <strong>
              {date(training.date)}, {time(training.start)}
              {training.area && ` · ${training.area}`}
              {training.group && ` · ${training.group}`}
            </strong>
            <span className={classes.count}>{sheet.attendance.length} here</span>
            {mayWrite && mode === 'here' && <CardField onCard={onCard} />}
            {mayWrite && mode === 'here' && people.some((one) => one.card) && (
              <Link to={`/mat/${training.id}/cards`}>Cards</Link>
            )}
            {mode === 'here' && (
              <Button variant="default" onClick={() => setEveryone((before) => !before)}>
                {everyone ? 'This track' : 'Everyone'}
              </Button>
            )}
            {mayWrite && mode === 'here' && !everyone && absent.length > 0 && (
              <Button variant="default" onClick={() => all(absent)}>
                All {absent.length === shown.length ? '' : 'others '}are here
              </Button>
            )}
            {mayWrite && mode === 'here' && (
              <Button variant="default" aria-expanded={adding} onClick={() => setAdding(!adding)}>
                Guest
              </Button>
            )}
          </div>
          {adding && mode === 'here' && (
            <GuestAdd training={training} people={people} onDone={() => setAdding(false)} />
          )}
          {mayWrite && mode === 'here' && <GuestsAsked sheet={sheet} people={people} />}
          {training.cancelled && (
            <p className={classes.off}>
              This class is called off. {mayWrite && <Link to={`/mat/${training.id}/off`}>Whom to tell</Link>}
            </p>
          )}
          {mayWrite && <ContestedNote sheet={kept} people={people} />}
          <Tiles
            people={shown}
            here={here}
            elsewhere={mode === 'here' ? elsewhere : undefined}
            chosen={mode === 'mark' ? student : null}
            readOnly={!mayWrite}
            label={mode === 'mark' ? 'Choose whom to mark' : 'Tap who is here'}
            onTap={(who) => {
              if (mode === 'mark') {
                setStudent(who.id === student ? null : who.id);
                side.current?.scrollIntoView({ block: 'start' }); // on a phone it stands below the people
              } else if (here.has(who.id)) leave(who);
              else if (elsewhere.has(who.id)) move(who, elsewhere.get(who.id));
              else checkIn(who, 'NAME');
            }}
          />
          <Corrections sheet={sheet} people={people} />
          {shown.length === 0 && (
            <p className={classes.hint}>
              {mode === 'mark'
                ? 'Check people in first; then they can be marked.'
                : everyone
                  ? 'Nobody trains here yet.'
                  : 'Nobody is on this track yet. “Everyone” shows all who train here.'}
            </p>
          )}
        </section>
      )}
      <aside
        ref={side}
        className={classes.side}
        aria-label={
          mode === 'mark' ? 'Mark' : mode === 'run' || mode === 'injury' ? 'Who with whom' : 'Blocks'
        }
      >
        <Loaded query={map}>
          {(index) =>
            mode === 'run' || mode === 'injury' ? (
              <PairsBoard sheet={sheet} pairs={pairs} />
            ) : mode === 'mark' && student === null ? (
              <ClassMarks map={index} sheet={sheet} people={people} />
            ) : mode === 'mark' ? (
              <MarkPanel map={index} sheet={sheet} student={people.find((p) => p.id === student)} />
            ) : (
              <Blocks map={index} sheet={sheet} readOnly={!mayWrite} />
            )
          }
        </Loaded>
      </aside>
      {mayWrite && (
        <footer className={classes.foot}>
          <SegmentedControl
            size="lg"
            aria-label="What to do"
            value={mode === 'injury' ? '' : mode}
            onChange={(value) => setMode(value as Mode)}
            data={[
              { value: 'here', label: 'Here' },
              { value: 'pairs', label: 'Pairs' },
              { value: 'run', label: 'Run' },
              { value: 'mark', label: 'Mark' },
            ]}
          />
          {clock.dial.begun && mode !== 'run' && (
            <button type="button" className={classes.ticking} onClick={() => setMode('run')}>
              {digits(clock.dial.left)}
            </button>
          )}
          <Button
            size="lg"
            variant="outline"
            color="rowan"
            className={classes.injury}
            onClick={() => setMode('injury')}
          >
            Injury
          </Button>
        </footer>
      )}
    </div>
  );
}

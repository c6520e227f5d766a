import { Button } from '@mantine/core';
import { Fragment, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useCalendar, useClassSheet } from '../../api/mat';
import { useRoom } from '../../api/pairs';
import { useNames } from '../../api/people';
import type { ClassSheet, Name, Room } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { withGuests, withPairs } from '../../record/overlay';
import { useWaiting } from '../../record/Recording';
import { PrintFoot } from '../../ui/PrintFoot';
import { Empty, Loaded } from '../../ui/States';
import { time } from '../../ui/words';
import { calledIn } from '../class/called';
import { digits, faceOf, stretchesOf } from '../run/clock';
import { Strip } from '../run/Strip';
import { useAwake } from '../run/useAwake';
import { useClock } from '../run/useClock';
import classes from './Pairs.module.css';
import { wavesOf } from './waves';

/** The pairs and the clock for everybody to see: names as they are called, and nothing else of anybody. */
export function WallPage() {
  const { id = '' } = useParams();
  const sheet = useClassSheet(id);
  const names = useNames();
  const room = useRoom(id, null);
  return (
    <Loaded query={sheet}>
      {(opened) => (
        <Loaded query={names}>
          {(people) => (
            <Loaded query={room}>{(asked) => <Wall sheet={opened} people={people} room={asked} />}</Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function Wall({ sheet, people: known, room }: { sheet: ClassSheet; people: Name[]; room: Room }) {
  const waiting = useWaiting();
  const people = useMemo(() => withGuests(known, waiting), [known, waiting]);
  const tracks = useCalendar().data?.tracks;
  const { training } = sheet;
  const stretches = useMemo(() => stretchesOf(training.blocks), [training.blocks]);
  const { at, dial } = useClock(training.id, stretches, false);
  useAwake(true);
  const groups = withPairs(room.rounds, training.id, waiting).at(-1)?.groups ?? [];
  const calledBy = calledIn(
    people,
    groups.flatMap((group) => group.people),
  );
  const block = training.blocks[at]?.id;
  const throws = dial.begun ? block !== undefined && room.throwing.includes(block) : room.throwing.length > 0;
  const waves = wavesOf(
    groups.map((group) => group.people),
    throws ? training.lanes : 0,
  );
  const track = tracks?.find((one) => one.id === training.track)?.name ?? '';
  return (
    <>
      <PageHead title={`${time(training.start)} ${track}`}>
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
        <Link to={`/mat/${training.id}`}>Back to the class</Link>
      </PageHead>
      <div className={classes.wall}>
        {dial.begun && (
          <>
            <Strip blocks={training.blocks} at={at} dial={dial} />
            <p className={classes.clock} role="timer" aria-label="Time left">
              {digits(faceOf(dial))}{' '}
              <span>
                {training.blocks[at]?.title}
                {dial.round && `, ${dial.phase === 'rest' ? 'rest' : `${dial.round.is} of ${dial.round.of}`}`}
                {dial.phase === 'swap' && ', swap now'}
              </span>
            </p>
          </>
        )}
        {groups.length === 0 ? (
          <Empty title="No pairs yet" steps={[{ label: 'Pair them', to: `/mat/${training.id}` }]}>
            Pairs are made at the mat, under Pairs.
          </Empty>
        ) : (
          waves.map((wave, n) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a wave is its place
            <Fragment key={n}>
              {waves.length > 1 && <h2>Wave {n + 1}</h2>}
              <ul aria-label={waves.length > 1 ? `Wave ${n + 1}` : 'Pairs'}>
                {wave.map((group) => (
                  <li key={group.join()}>
                    {group.map((id, k) => (
                      <span key={id} style={{ color: 'inherit' }}>
                        {k > 0 && <span> · </span>}
                        {calledBy(id)}
                      </span>
                    ))}
                  </li>
                ))}
              </ul>
            </Fragment>
          ))
        )}
        <PrintFoot />
      </div>
    </>
  );
}

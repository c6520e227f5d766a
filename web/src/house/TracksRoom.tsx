import { Button } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { useTracks } from '../api/mat';
import type { Slot, Track } from '../api/types';
import { useWho } from '../ui/coaches';
import { Empty, Loaded, Waiting } from '../ui/States';
import { date, time } from '../ui/words';
import { ClosedDays, Patterns } from './ClosedDays';
import { DAYS } from './days';
import classes from './TracksRoom.module.css';
import { WhoIsMeant } from './WhoIsMeant';

const TrackForm = lazy(() => import('./TrackForm').then((m) => ({ default: m.TrackForm })));

const JACKET = { EITHER: 'with or without a jacket', JACKET: 'with a jacket', NO_JACKET: 'without a jacket' };

/** The streams of classes with their weekly times: they fill the calendar. */
export function TracksRoom() {
  const tracks = useTracks();
  const [editing, setEditing] = useState<string | null>(null);
  return (
    <Loaded query={tracks}>
      {({ tracks: all, tags }) => (
        <>
          {all.length === 0 && editing === null && (
            <Empty title="No track yet">
              A track is a stream of classes, such as juniors or fundamentals, with its weekly times. They
              fill the calendar by themselves.
            </Empty>
          )}
          {all.map((track) =>
            editing === track.id ? (
              <Editing
                key={track.id}
                track={track}
                tag={tags[track.id] ?? null}
                all={all}
                onClose={() => setEditing(null)}
              />
            ) : (
              <TrackSection key={track.id} track={track} onChange={() => setEditing(track.id)} />
            ),
          )}
          {editing === '' ? (
            <Editing track={null} tag={null} all={all} onClose={() => setEditing(null)} />
          ) : (
            <Button mt={16} onClick={() => setEditing('')}>
              Add a track
            </Button>
          )}
          {all.length > 0 && (
            <>
              <WhoIsMeant />
              <ClosedDays tracks={all} />
              <Patterns />
            </>
          )}
        </>
      )}
    </Loaded>
  );
}

type EditingProps = { track: Track | null; tag: string | null; all: Track[]; onClose: () => void };

function Editing({ track, tag, all, onClose }: EditingProps) {
  return (
    <section className={classes.form}>
      <Suspense fallback={<Waiting height={240} />}>
        <TrackForm track={track} tag={tag} all={all} onDone={onClose} onCancel={onClose} />
      </Suspense>
    </section>
  );
}

function TrackSection({ track, onChange }: { track: Track; onChange: () => void }) {
  const who = useWho();
  return (
    <section className={classes.track} data-track={track.id}>
      <h2>
        {track.name} <span className="quiet">{JACKET[track.jacket]}</span>
      </h2>
      <Button variant="default" size="compact-md" onClick={onChange} aria-label={`Change ${track.name}`}>
        Change
      </Button>
      {track.slots.length === 0 ? (
        <p className="quiet">No weekly time; its classes are made one by one.</p>
      ) : (
        <ul className={classes.slots}>
          {inWeekOrder(track.slots).map((slot) => (
            <li key={slot.id}>
              <strong>{DAYS[slot.day]}</strong>
              <span>
                {time(slot.start)}–{endOf(slot)}
              </span>
              <span>{slot.area}</span>
              <span className="quiet">
                {[
                  who(slot.coach),
                  slot.from && `from ${date(slot.from)}`,
                  slot.until && `until ${date(slot.until)}`,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const WEEK = Object.keys(DAYS);

export const inWeekOrder = (slots: Slot[]) =>
  [...slots].sort((a, b) => WEEK.indexOf(a.day) - WEEK.indexOf(b.day) || a.start.localeCompare(b.start));

export function endOf({ start, minutes }: { start: string; minutes: number }): string {
  const end = Number(start.slice(0, 2)) * 60 + Number(start.slice(3, 5)) + minutes;
  return `${String(Math.floor(end / 60) % 24).padStart(2, '0')}:${String(end % 60).padStart(2, '0')}`;
}

import { Button, Menu } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { send } from '../../api/client';
import { useSession } from '../../api/club';
import { type RosterWanted, readRoster } from '../../api/people';
import type { RosterRow, Track } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { useNotices } from '../../ui/Notices';
import { count } from '../../ui/words';
import { useSayBrought } from '../student/Brought';
import classes from './PeoplePage.module.css';

type Props = {
  chosen: RosterRow[];
  wanted: RosterWanted;
  total: number;
  tracks: Track[];
  onAll: () => void;
  onNone: () => void;
  onDo: (what: 'weigh' | 'squad') => void;
  onSheet: () => void;
};

/** What is done to many at once: to those who are ticked, else to the whole list. */
export function Bulk({ chosen, wanted, total, tracks, onAll, onNone, onDo, onSheet }: Props) {
  const isHead = useSession().data?.role === 'HEAD';
  const say = useNotices();
  const changed = useChanged();
  const [sending, setSending] = useState(false);
  const brought = useSayBrought();
  if (total === 0) return null;
  const bring = async (answer: 'ALL' | 'NOTHING') => {
    try {
      const whom = chosen.length > 0 ? chosen : await readRoster(wanted);
      await brought.tell(
        whom.map((row) => row.student),
        answer,
      );
    } catch (error) {
      say.failed(error);
    }
  };
  const isAsked = wanted.mind === 'BROUGHT';
  const move = async (track: Track, isIn: boolean, who = chosen) => {
    const touched = who.filter((row) => row.student.tracks.includes(track.id) !== isIn);
    if (touched.length === 0) {
      say.done(isIn ? `They are all on ${track.name}.` : `None of them is on ${track.name}.`);
      return;
    }
    const students = touched.map((row) => row.student.id);
    const put = (into: boolean) =>
      send('POST', '/people/tracks', {
        students,
        add: into ? [track.id] : [],
        remove: into ? [] : [track.id],
      });
    setSending(true);
    try {
      await put(isIn);
      await changed('student', 'nomination');
      say.done(`${count(students.length, 'person', 'people')} ${isIn ? 'on' : 'off'} ${track.name}.`, () =>
        put(!isIn)
          .then(() => changed('student', 'nomination'))
          .catch(say.failed),
      );
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  return (
    <div className={classes.bulk}>
      <span>
        {chosen.length > 0 ? (
          <strong>{count(chosen.length, 'person', 'people')} chosen:</strong>
        ) : (
          'All of these:'
        )}
      </span>
      {isHead && isAsked && (
        <>
          <Button size="compact-md" loading={brought.sending} onClick={() => bring('ALL')}>
            They have all below their belt
          </Button>
          <Button
            variant="default"
            size="compact-md"
            loading={brought.sending}
            onClick={() => bring('NOTHING')}
          >
            Nothing yet
          </Button>
        </>
      )}
      <Button variant="default" size="compact-md" onClick={() => onDo('squad')}>
        Squad list
      </Button>
      <Button variant="default" size="compact-md" onClick={() => onDo('weigh')}>
        Weigh
      </Button>
      <Button variant="default" size="compact-md" onClick={onSheet}>
        As a spreadsheet
      </Button>
      {wanted.mind === 'FALLS' && (
        <Button component={Link} to="/people/falls" size="compact-md">
          See them one by one
        </Button>
      )}
      {isHead && chosen.length > 0 && !isAsked && (
        <Menu>
          <Menu.Target>
            <Button variant="default" size="compact-md" loading={brought.sending}>
              From before
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Item onClick={() => bring('ALL')}>They have all below their belt</Menu.Item>
            <Menu.Item onClick={() => bring('NOTHING')}>They have nothing of it yet</Menu.Item>
          </Menu.Dropdown>
        </Menu>
      )}
      {isHead && chosen.length > 0 && (
        <Menu>
          <Menu.Target>
            <Button variant="default" size="compact-md" loading={sending}>
              Tracks
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            {tracks.map((track) => (
              <Menu.Item key={track.id} onClick={() => move(track, true)}>
                On to {track.name}
              </Menu.Item>
            ))}
            <Menu.Divider />
            {tracks.map((track) => (
              <Menu.Item key={track.id} onClick={() => move(track, false)}>
                Off {track.name}
              </Menu.Item>
            ))}
          </Menu.Dropdown>
        </Menu>
      )}
      {chosen.length > 0 ? (
        <Button variant="subtle" size="compact-md" onClick={onNone}>
          Choose nobody
        </Button>
      ) : (
        <Button variant="subtle" size="compact-md" onClick={onAll}>
          Choose all shown
        </Button>
      )}
    </div>
  );
}

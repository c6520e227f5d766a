import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { newId, send } from '../../api/client';
import { useLadders } from '../../api/ladders';
import { useToday, useTracks } from '../../api/mat';
import { useNames, usePerson } from '../../api/people';
import type { LadderView, Name, Student, Track } from '../../api/types';
import { NEW } from '../../form/fields';
import type { Opened } from '../../form/useDraft';
import { useChanged } from '../../form/useEdit';
import { PageHead } from '../../frame/PageHead';
import { nth } from '../../ui/lists';
import { useNotices } from '../../ui/Notices';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { footFor } from './foot';
import type { Held } from './HeldFields';
import { PersonForm } from './PersonForm';
import classes from './PersonPage.module.css';

/** Somebody new, or somebody changed. */
export function PersonPage() {
  const { id = NEW } = useParams();
  const isNew = id === NEW;
  const person = usePerson(isNew ? null : id);
  const names = useNames();
  const ladders = useLadders();
  const tracks = useTracks();
  return (
    <Loaded query={names}>
      {(people) => (
        <Loaded query={ladders}>
          {(views) => (
            <Loaded query={tracks}>
              {({ tracks: all }) =>
                isNew ? (
                  <NewPeople people={people} views={views} tracks={all} />
                ) : (
                  <Loaded query={person}>
                    {(opened) => (
                      <Change key={id} opened={opened} people={people} views={views} tracks={all} />
                    )}
                  </Loaded>
                )
              }
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

type Props = { people: Name[]; views: LadderView[]; tracks: Track[] };

const blank = (tracks: string[], joined: string): Student => ({
  id: NEW,
  name: '',
  calledBy: '',
  card: null,
  born: null,
  joined,
  left: null,
  guest: null,
  weightKg: null,
  weighed: null,
  heightCm: null,
  lead: 'RIGHT',
  tracks,
  priorClasses: 0,
  memberUntil: null,
  contacts: null,
  holds: [],
  restrictions: [],
  keepApart: [],
  notes: '',
  consents: [],
  beltSize: null,
  prefers: [],
});

/** One after the other: after each the form is empty again, on the same tracks and at the same rank. */
function NewPeople({ people, views, tracks }: Props) {
  const navigate = useNavigate();
  const [added, setAdded] = useState<Student[]>([]);
  const now = useToday();
  const last = added.at(-1);
  const [held, setHeld] = useState<Held | null>(() => first(views));
  const give = useGiveRank();
  const keep = async (student: Student) => {
    setAdded([...added, student]);
    await give(student, held);
  };
  return (
    <>
      <PageHead title="New people" />
      <Scroll label="New people" className={classes.body}>
        {added.length > 0 && (
          <p role="status">
            Added:{' '}
            {added.map((student, n) => (
              <span key={student.id}>
                {n > 0 && ', '}
                <Link to={`/people/${student.id}`}>{student.name}</Link>
              </span>
            ))}
          </p>
        )}
        <PersonForm
          key={added.length}
          opened={{
            value: blank(last?.tracks ?? (tracks.length === 1 ? [nth(tracks, 0).id] : []), now),
            tag: null,
          }}
          {...{ people, views, tracks, held }}
          onHeld={setHeld}
          onDone={keep}
          onCancel={() => navigate('/people')}
          leave={added.length > 0 ? 'Done' : 'Cancel'}
        />
      </Scroll>
    </>
  );
}

/** Writes down the rank that somebody comes with. */
function useGiveRank() {
  const changed = useChanged();
  const say = useNotices();
  return async (student: Student, held: Held | null) => {
    if (!held) return;
    try {
      await send('POST', '/promotions', {
        id: newId('pr'),
        student: student.id,
        ladder: held.ladder,
        from: null,
        to: held.rank,
        stripes: held.stripes,
        date: held.since || student.joined,
        fromBefore: true,
        figures: [],
      });
      if (held.knows) await send('POST', '/people/brought', { students: [student.id], answer: held.knows });
      await changed('student', 'promotion', 'brought');
    } catch (error) {
      say.failed(error);
    }
  };
}

/** Most who are new begin at the foot of the first ladder. */
const first = (views: LadderView[]): Held | null => {
  const foot = footFor(views, null);
  return foot && { ...foot, stripes: 0, since: '', knows: null };
};

/** Changes somebody; with `?joins`, a guest becomes somebody who trains here. */
function Change({ opened, ...rest }: Props & { opened: Opened<Student> }) {
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const now = useToday();
  const joins = params.has('joins') && opened.value.guest !== null;
  const [held, setHeld] = useState<Held | null>(() => (joins ? first(rest.views) : null));
  const give = useGiveRank();
  const back = () => navigate(`/people/${opened.value.id}`);
  const value = joins ? { ...opened.value, guest: null, joined: now } : opened.value;
  return (
    <>
      <PageHead title={opened.value.name} />
      <Scroll label="Change" className={classes.body}>
        <PersonForm
          opened={{ ...opened, value }}
          {...rest}
          joins={joins}
          held={held}
          {...(joins && { onHeld: setHeld })}
          onDone={async (student) => {
            if (joins) await give(student, held);
            back();
          }}
          onCancel={back}
        />
      </Scroll>
    </>
  );
}

import { Checkbox, MultiSelect, TextInput } from '@mantine/core';
import { Link } from 'react-router';
import { useOfAge } from '../../api/club';
import { useToday } from '../../api/mat';
import type { LadderView, Name, Student, Track } from '../../api/types';
import { EditForm } from '../../form/EditForm';
import { needed } from '../../form/limits';
import { type Opened, useDraft } from '../../form/useDraft';
import { alike } from './alike';
import { CONTACTS, Contact, emptied, isAddress, YOUNG } from './Contact';
import { dayOf, textOf } from './fields';
import { ageOn, footFor, isFoot } from './foot';
import { type Held, HeldFields } from './HeldFields';
import { MorePerson } from './MorePerson';
import classes from './PersonPage.module.css';

type Props = {
  opened: Opened<Student>;
  people: Name[];
  views: LadderView[];
  tracks: Track[];
  /** The rank that somebody who comes or joins has; null: none. */
  held: Held | null;
  onHeld?: (held: Held | null) => void;
  onDone: (student: Student) => void;
  onCancel: () => void;
  leave?: string;
  /** A guest who is to train here from now on. */
  joins?: boolean;
};

const wrongOn = (now: string) => (student: Student) => ({
  ...needed(student, { name: 'What is their name?', joined: 'Since when do they train here?' }),
  ...(student.born && student.joined && student.born > student.joined
    ? { born: 'Born after they joined.' }
    : {}),
  ...(student.born && student.born > now ? { born: 'That day has not come yet.' } : {}),
  ...Object.fromEntries(
    (['email', 'guardianEmail'] as const)
      .filter((field) => !isAddress(student.contacts?.[field] ?? ''))
      .map((field) => [`contacts.${field}`, 'That is no e-mail address.']),
  ),
  ...(student.weightKg !== null && (student.weightKg < 10 || student.weightKg > 300)
    ? { weightKg: 'From 10 to 300 kg.' }
    : {}),
  ...(student.heightCm !== null && (student.heightCm < 60 || student.heightCm > 250)
    ? { heightCm: 'From 60 to 250 cm.' }
    : {}),
});

/** One person: a name and a birth date are enough, the rest can come later. */
export function PersonForm(props: Props) {
  const { opened, people, views, tracks, held, onHeld, onDone, onCancel, leave, joins } = props;
  const now = useToday();
  const draft = useDraft(opened, 'Student', wrongOn(now));
  const { value: student, isNew, change, error } = draft;
  const same = isNew ? alike(student.name, people) : [];
  const age = student.born ? ageOn(student.born, now) : null;
  const ofAge = useOfAge();
  const isYoung = age !== null && age < ofAge;
  return (
    <EditForm
      title={isNew ? 'Somebody new' : joins ? `${opened.value.name} joins` : `Change ${opened.value.name}`}
      place="people"
      draft={draft}
      body={{ ...student, contacts: emptied(student.contacts) }}
      done={isNew ? `${student.name} is added.` : `${student.name} is saved.`}
      onDone={(kept) => kept && onDone(kept)}
      onCancel={onCancel}
      leave={leave}
    >
      <div className={classes.fields}>
        <TextInput
          label="Name"
          autoFocus={isNew}
          error={error('name')}
          value={student.name}
          onChange={(event) => change({ name: event.currentTarget.value })}
        />
        <TextInput
          label="Birth date"
          {...dayOf(draft, 'born')}
          onChange={(event) => {
            const born = event.currentTarget.value || null;
            change({ born });
            // Somebody of whom nothing was said begins on the ladder that is for their age.
            const foot = footFor(views, born ? ageOn(born, now) : null);
            if (onHeld && held && foot && isFoot(views, held)) onHeld({ ...held, ...foot });
          }}
        />
        {same.length > 0 && (
          <p role="status" className={`${classes.alike} ${classes.wide}`}>
            Here already?{' '}
            {same.map((person, n) => (
              <span key={person.id}>
                {n > 0 && ', '}
                <Link to={`/people/${person.id}`}>{person.name}</Link>
              </span>
            ))}
          </p>
        )}
        <MultiSelect
          label="Tracks"
          placeholder={student.tracks.length ? '' : 'Where they train'}
          data={tracks.map((track) => ({ value: track.id, label: track.name }))}
          value={student.tracks}
          onChange={(chosen) => change({ tracks: chosen })}
        />
        <TextInput label="Card" placeholder="The number it reads as" {...textOf(draft, 'card')} />
        {student.guest && (
          <div className={classes.wide}>
            <Checkbox
              label="Can fall: a coach has seen it"
              checked={student.guest.fallsKnown}
              onChange={(event) =>
                change({ guest: { age: null, ...student.guest, fallsKnown: event.currentTarget.checked } })
              }
            />
          </div>
        )}
        {onHeld && views.length > 0 && <HeldFields views={views} held={held} onHeld={onHeld} />}
        {isYoung && (
          <>
            <p className={`quiet ${classes.wide}`} role="note">
              Under {ofAge}: whom does the club call? It can come later.
            </p>
            {CONTACTS.filter(([field]) => YOUNG.includes(field)).map(([field, label]) => (
              <Contact key={field} field={field} label={label} draft={draft} />
            ))}
          </>
        )}
      </div>
      <MorePerson draft={draft} people={people} now={now} isYoung={isYoung} canLeave={!isNew && !joins} />
    </EditForm>
  );
}

import {
  Checkbox,
  MultiSelect,
  NumberInput,
  SegmentedControl,
  Select,
  Textarea,
  TextInput,
} from '@mantine/core';
import { Link } from 'react-router';
import { useOfAge } from '../../api/club';
import { useToday } from '../../api/mat';
import type { LadderView, Name, Student, Track } from '../../api/types';
import { EditForm } from '../../form/EditForm';
import { needed } from '../../form/limits';
import { type Opened, useDraft } from '../../form/useDraft';
import { rankOptions } from '../../rank/ladders';
import { count } from '../../ui/words';
import { alike } from './alike';
import { Consents } from './Consents';
import { ageOn, footFor, isFoot } from './foot';
import classes from './PersonPage.module.css';

/** A rank that somebody comes with. */
export type Held = {
  ladder: string;
  rank: string;
  stripes: number;
  since: string;
  /** What they have of what is asked below it; null: to be asked later. */
  knows: 'ALL' | 'NOTHING' | null;
};

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

/** Nothing, or what looks like an e-mail address. */
const isAddress = (text: string) =>
  !text.trim() || /^[^\s@<>,;"]+@[^\s@<>,;"]+\.[^\s@<>,;"]+$/.test(text.trim());

const STANCES = [
  { value: 'RIGHT', label: 'Right' },
  { value: 'LEFT', label: 'Left' },
  { value: 'BOTH', label: 'Both' },
];

const numberOr = (value: number | string) => (value === '' ? null : Number(value));

/** One person: a name and a birth date are enough, the rest can come later. */
export function PersonForm(props: Props) {
  const { opened, people, views, tracks, held, onHeld, onDone, onCancel, leave, joins } = props;
  const now = useToday();
  const draft = useDraft(opened, 'Student', wrongOn(now));
  const { value: student, isNew, change, error } = draft;
  const same = isNew ? alike(student.name, people) : [];
  const text = (field: 'calledBy' | 'card' | 'notes' | 'beltSize') => ({
    value: student[field] ?? '',
    error: error(field),
    onChange: (event: { currentTarget: { value: string } }) =>
      change({
        [field]: event.currentTarget.value || (field === 'card' || field === 'beltSize' ? null : ''),
      } as Partial<Student>),
  });
  const day = (field: 'born' | 'joined' | 'weighed' | 'memberUntil' | 'left') => ({
    type: 'date',
    value: student[field] ?? '',
    error: error(field),
    onChange: (event: { currentTarget: { value: string } }) =>
      change({ [field]: event.currentTarget.value || null } as Partial<Student>),
  });
  const age = student.born ? ageOn(student.born, now) : null;
  const ofAge = useOfAge();
  const isYoung = age !== null && age < ofAge;
  const contact = ([field, label]: (typeof CONTACTS)[number]) => (
    <TextInput
      key={field}
      label={label}
      error={error(`contacts.${field}`)}
      value={student.contacts?.[field] ?? ''}
      onChange={(event) =>
        change({
          contacts: {
            ...(student.contacts ?? NOBODY),
            [field]: event.currentTarget.value || null,
          },
        })
      }
    />
  );
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
          {...day('born')}
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
        <TextInput label="Card" placeholder="The number it reads as" {...text('card')} />
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
            {CONTACTS.filter(([field]) => YOUNG.includes(field)).map(contact)}
          </>
        )}
      </div>
      <details className={classes.more}>
        <summary>More: weight, stance, membership, whom to call, consents</summary>
        <div className={classes.fields}>
          <TextInput label="Called" placeholder="The first word of the name" {...text('calledBy')} />
          <TextInput label="Joined" {...day('joined')} />
          <Select
            label="Stance"
            data={STANCES}
            value={student.lead}
            allowDeselect={false}
            onChange={(lead) => change({ lead: lead as Student['lead'] })}
          />
          <NumberInput
            label="Weight"
            suffix=" kg"
            decimalScale={1}
            error={error('weightKg')}
            value={student.weightKg ?? ''}
            onChange={(weight) =>
              change({
                weightKg: numberOr(weight),
                weighed: weight === '' ? null : (student.weighed ?? now),
              })
            }
          />
          <TextInput label="Weighed" {...day('weighed')} />
          <NumberInput
            label="Height"
            suffix=" cm"
            error={error('heightCm')}
            value={student.heightCm ?? ''}
            onChange={(height) => change({ heightCm: numberOr(height) })}
          />
          <TextInput label="Belt size" placeholder="As belts are sold" maxLength={12} {...text('beltSize')} />
          <TextInput label="Member until" {...day('memberUntil')} />
          <NumberInput
            label="Classes before"
            description="Credit for what they did elsewhere"
            min={0}
            value={student.priorClasses}
            onChange={(classesBefore) => change({ priorClasses: Number(classesBefore) })}
          />
          {CONTACTS.filter(([field]) => !isYoung || !YOUNG.includes(field)).map(contact)}
          <MultiSelect
            label="Not paired with"
            description="Seen by coaches; pairs keep them apart"
            searchable
            limit={40}
            data={people
              .filter((one) => one.id !== student.id)
              .map((one) => ({ value: one.id, label: one.name }))}
            value={student.keepApart}
            onChange={(keepApart) => change({ keepApart })}
          />
          <MultiSelect
            label="Works best with"
            description="Pairs lean that way, after everything else"
            searchable
            limit={40}
            data={people
              .filter((one) => one.id !== student.id)
              .map((one) => ({ value: one.id, label: one.name }))}
            value={student.prefers}
            onChange={(prefers) => change({ prefers })}
          />
          {!isNew && !joins && <TextInput label="Left the club" {...day('left')} />}
          <Consents student={student} now={now} onChange={(consents) => change({ consents })} />
          <Textarea
            label="Notes"
            description="Coaches read them, nobody else"
            autosize
            className={classes.wide}
            {...text('notes')}
          />
        </div>
      </details>
    </EditForm>
  );
}

const NOBODY = {
  phone: null,
  email: null,
  guardian: null,
  guardianPhone: null,
  guardianEmail: null,
  emergency: null,
  emergencyPhone: null,
};

const CONTACTS = [
  ['phone', 'Telephone'],
  ['email', 'E-mail'],
  ['guardian', 'Guardian'],
  ['guardianPhone', 'Guardian’s telephone'],
  ['guardianEmail', 'Guardian’s e-mail'],
  ['emergency', 'In an emergency'],
  ['emergencyPhone', 'Emergency telephone'],
] as const;

/** Whom the club calls about somebody who is not of age: asked for beside the name, never demanded. */
const YOUNG: readonly string[] = ['guardian', 'guardianPhone', 'guardianEmail'];

const emptied = (contacts: Student['contacts']) =>
  contacts && Object.values(contacts).some(Boolean) ? contacts : null;

type HeldProps = { views: LadderView[]; held: Held | null; onHeld: (held: Held | null) => void };

/** How many things some ranks ask. */
const asked = (ranks: LadderView['ladder']['ranks']) =>
  ranks.flatMap((rank) => rank.syllabus.flatMap((group) => group.items)).length;

/** The rank they come with: the foot of a ladder for most, another one for who comes from elsewhere. */
function HeldFields({ views, held, onHeld }: HeldProps) {
  const ranks = views.find((v) => v.ladder.id === held?.ladder)?.ladder.ranks ?? [];
  const at = ranks.findIndex((r) => r.id === held?.rank);
  const rank = ranks[at];
  const below = asked(ranks.slice(0, Math.max(at, 0)));
  return (
    <>
      <Select
        label="Rank"
        placeholder="None yet"
        clearable
        searchable
        data={rankOptions(views, (ladder, rank) => `${ladder.id} ${rank.id}`)}
        value={held && `${held.ladder} ${held.rank}`}
        onChange={(chosen) => {
          const [ladder, to] = chosen?.split(' ') ?? [];
          onHeld(
            chosen
              ? { ladder, rank: to, stripes: 0, since: held?.since ?? '', knows: held?.knows ?? null }
              : null,
          );
        }}
      />
      {held && (
        <TextInput
          label="Holds it since"
          description="Left empty: since they joined"
          type="date"
          value={held.since}
          onChange={(event) => onHeld({ ...held, since: event.currentTarget.value })}
        />
      )}
      {held && rank && below > 0 && (
        <div className={classes.wide}>
          <p className={classes.knows} id="knows">
            {count(below, 'thing is', 'things are')} asked below {rank.name.toLowerCase()}. Do they have them?
          </p>
          <SegmentedControl
            aria-labelledby="knows"
            value={held.knows ?? 'LATER'}
            onChange={(knows) =>
              onHeld({ ...held, knows: knows === 'LATER' ? null : (knows as Held['knows']) })
            }
            data={[
              { value: 'ALL', label: 'All of it' },
              { value: 'NOTHING', label: 'Nothing yet' },
              { value: 'LATER', label: 'Ask me later' },
            ]}
          />
        </div>
      )}
      {held && rank && rank.stripes > 0 && (
        <NumberInput
          label="Stripes"
          min={0}
          max={rank.stripes}
          value={held.stripes}
          onChange={(stripes) => onHeld({ ...held, stripes: Number(stripes) })}
        />
      )}
    </>
  );
}

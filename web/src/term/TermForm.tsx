import { MultiSelect, TextInput } from '@mantine/core';
import { useNavigate, useParams } from 'react-router';
import { read } from '../api/client';
import { useToday, useTracks } from '../api/mat';
import { useTerms } from '../api/terms';
import type { Term, Track } from '../api/types';
import { EditForm } from '../form/EditForm';
import { freeId, NEW } from '../form/fields';
import { needed } from '../form/limits';
import { useDraft } from '../form/useDraft';
import { PageHead } from '../frame/PageHead';
import { under } from '../ui/lists';
import { Scroll } from '../ui/Scroll';
import { Loaded } from '../ui/States';
import { date, daysBefore, mondayOf, plain, time } from '../ui/words';
import shared from './Term.module.css';
import classes from './TermForm.module.css';

const WEEKS = 14;

/** The days of a term: from when to when, which weekly times, what is closed, when somebody is examined. */
export function TermFormPage() {
  const { id = NEW } = useParams();
  const terms = useTerms();
  const tracks = useTracks();
  const now = useToday();
  return (
    <>
      <PageHead title={id === NEW ? 'A term' : "The term's days"} />
      <Scroll label="Term" className={classes.form}>
        <Loaded query={terms}>
          {({ terms: all, tags }) => (
            <Loaded query={tracks}>
              {({ tracks: streams }) => (
                <Form
                  key={id}
                  term={all.find((term) => term.id === id) ?? fresh(now, streams)}
                  tag={tags[id] ?? null}
                  all={all}
                  tracks={streams}
                />
              )}
            </Loaded>
          )}
        </Loaded>
      </Scroll>
    </>
  );
}

/** From the next Monday for fourteen weeks, with every weekly time. */
function fresh(now: string, tracks: Track[]): Term {
  const from = daysBefore(mondayOf(now), -7);
  return {
    id: '',
    name: '',
    from,
    until: daysBefore(from, -(7 * WEEKS - 1)),
    slots: tracks.flatMap((track) => track.slots.map((slot) => slot.id)),
    closures: [],
    gradingDays: [],
  };
}

const wrong = (term: Term) => ({
  ...needed(term, { name: 'What is it called?', from: 'From which day?', until: 'To which day?' }),
  ...(term.from && term.until && term.until < term.from ? { until: 'It ends before it begins.' } : {}),
  ...(term.slots.length === 0 ? { slots: 'Which weekly times?' } : {}),
});

async function asKept(id: string): Promise<{ value: Term; tag: string }> {
  const { terms, tags } = await read('/terms');
  const value = terms.find((term) => term.id === id);
  if (!value) throw new Error('it is gone');
  return { value, tag: under(tags, id) };
}

type FormProps = { term: Term; tag: string | null; all: Term[]; tracks: Track[] };

function Form({ term, tag, all, tracks }: FormProps) {
  const draft = useDraft({ value: term, tag }, 'Term', wrong);
  const navigate = useNavigate();
  const { value, change, error } = draft;
  const day = (field: 'from' | 'until', label: string) => (
    <TextInput
      label={label}
      type="date"
      error={error(field)}
      value={value[field]}
      onChange={(event) => change({ [field]: event.currentTarget.value })}
    />
  );
  return (
    <EditForm
      title="When and what"
      place="terms"
      draft={draft}
      body={{ ...value, id: value.id || freeId(value.name, (other) => all.some((one) => one.id === other)) }}
      done="The term is kept."
      current={() => asKept(value.id)}
      retired="The term is gone."
      retire="Take it out"
      onDone={() => navigate('/term')}
      onCancel={() => navigate('/term')}
    >
      <TextInput
        label="Name"
        placeholder="Spring"
        error={error('name')}
        value={value.name}
        onChange={(event) => change({ name: event.currentTarget.value })}
      />
      <div className={shared.frame}>
        {day('from', 'From')}
        {day('until', 'Until')}
      </div>
      <MultiSelect
        label="Weekly times"
        error={error('slots')}
        data={tracks.flatMap((track) =>
          track.slots.map((slot) => ({
            value: slot.id,
            label: `${track.name}, ${plain(slot.day)} ${time(slot.start)}`,
          })),
        )}
        value={value.slots}
        onChange={(slots) => change({ slots })}
      />
      <Days
        label="Grading days"
        description="What must be there is shown three weeks before the next of them"
        error={error('gradingDays') ?? error('gradingDays.0')}
        days={value.gradingDays}
        {...{ from: value.from, until: value.until }}
        onChange={(gradingDays) => change({ gradingDays })}
      />
      <Days
        label="Closed in this term"
        description="Holidays of the club stand in House, Tracks"
        error={error('closures')}
        days={value.closures}
        {...{ from: value.from, until: value.until }}
        onChange={(closures) => change({ closures })}
      />
    </EditForm>
  );
}

type DaysProps = {
  label: string;
  description: string;
  error?: string;
  days: string[];
  from: string;
  until: string;
  onChange: (days: string[]) => void;
};

/** Some days of a term, one after the other. */
function Days({ label, description, error, days, from, until, onChange }: DaysProps) {
  return (
    <div>
      <TextInput
        label={label}
        description={description}
        type="date"
        min={from}
        max={until}
        error={error}
        value=""
        onChange={(event) => {
          const day = event.currentTarget.value;
          if (day && !days.includes(day)) onChange([...days, day].sort());
        }}
      />
      <ul className={classes.days} aria-label={label}>
        {days.map((day) => (
          <li key={day}>
            {date(day)}
            <button
              type="button"
              aria-label={`Not ${date(day)}`}
              onClick={() => onChange(days.filter((one) => one !== day))}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

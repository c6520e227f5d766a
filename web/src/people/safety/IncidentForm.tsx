import { Button, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useToday } from '../../api/mat';
import type { Incident, Name } from '../../api/types';
import classes from './Incidents.module.css';
import { KINDS, OUTCOMES, PARTS } from './incident';

type Props = {
  first: Incident;
  people: Name[];
  sending: boolean;
  onDone: (incident: Incident) => void;
  onCancel: () => void;
};

const choices = (words: Record<string, string>) =>
  Object.entries(words).map(([value, label]) => ({ value, label }));

/** What happened: two choices are enough at the mat, the rest can come afterwards. */
export function IncidentForm({ first, people, sending, onDone, onCancel }: Props) {
  const [incident, setIncident] = useState(first);
  const today = useToday();
  const change = (part: Partial<Incident>) => setIncident({ ...incident, ...part });
  const text = (field: 'what' | 'done' | 'seenBy') => ({
    value: incident[field] ?? '',
    maxLength: field === 'seenBy' ? 120 : 1000,
    onChange: (event: { currentTarget: { value: string } }) =>
      change({ [field]: event.currentTarget.value } as Partial<Incident>),
  });
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        onDone({ ...incident, seenBy: incident.seenBy?.trim() || null, time: incident.time || null });
      }}
    >
      <Select
        label="What happened"
        data={choices(KINDS)}
        value={incident.kind}
        allowDeselect={false}
        onChange={(kind) => change({ kind: kind as Incident['kind'] })}
      />
      {incident.kind === 'HEAD_KNOCK' && (
        <p className={classes.knock}>
          No live and no throws from now on, until the head coach writes down which medical professional
          cleared them.
        </p>
      )}
      <Select
        label="Where it hurts"
        clearable
        data={choices(PARTS)}
        value={incident.part}
        onChange={(part) => change({ part: part as Incident['part'] })}
      />
      <div className={classes.pair}>
        <TextInput
          label="Day"
          type="date"
          max={today}
          value={incident.on}
          onChange={(event) => change({ on: event.currentTarget.value })}
        />
        <TextInput
          label="At about"
          type="time"
          value={incident.time?.slice(0, 5) ?? ''}
          onChange={(event) => change({ time: event.currentTarget.value || null })}
        />
      </div>
      <Textarea
        label="How it happened"
        description="As it was seen; no diagnosis"
        autosize
        minRows={2}
        {...text('what')}
      />
      <Textarea label="What was done" autosize minRows={2} {...text('done')} />
      <Select
        label="How they went on"
        clearable
        data={choices(OUTCOMES)}
        value={incident.outcome}
        onChange={(outcome) => change({ outcome: outcome as Incident['outcome'] })}
      />
      <Select
        label="With whom"
        placeholder="Their partner, if there was one"
        clearable
        searchable
        limit={40}
        data={people
          .filter((one) => one.id !== incident.student)
          .map((one) => ({ value: one.id, label: one.name }))}
        value={incident.partner}
        onChange={(partner) => change({ partner })}
      />
      <TextInput label="Seen by" {...text('seenBy')} />
      <div className={classes.buttons}>
        <Button type="submit" loading={sending} disabled={!incident.on || incident.on > today}>
          Keep it
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

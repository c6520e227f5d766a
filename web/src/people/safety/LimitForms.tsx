import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import classes from './Limits.module.css';
import { type Kind, kindOptions } from './limitKinds';

type NewLimitBody = { kind: Kind; from: string; until: string | null; note: string | null };

export function NewLimit({
  today,
  sending,
  onDone,
  onCancel,
}: {
  today: string;
  sending: boolean;
  onDone: (body: NewLimitBody) => void;
  onCancel: () => void;
}) {
  const [kind, setKind] = useState<Kind>('NO_THROWS_TAKEN');
  const [from, setFrom] = useState(today);
  const [until, setUntil] = useState('');
  const [note, setNote] = useState('');
  const isOpen = kind === 'HEAD_KNOCK';
  const isWrong = !isOpen && until !== '' && until < from;
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        onDone({ kind, from, until: isOpen ? null : until || null, note: note.trim() || null });
      }}
    >
      <Select
        label="What must not be done"
        data={kindOptions}
        value={kind}
        allowDeselect={false}
        onChange={(value) => setKind(value as Kind)}
      />
      <TextInput
        label="From"
        type="date"
        value={from}
        onChange={(event) => setFrom(event.currentTarget.value)}
      />
      {isOpen ? (
        <p className="quiet">No last day: it holds until the head coach lifts it.</p>
      ) : (
        <TextInput
          label="Last day"
          type="date"
          description="Left empty, it holds until lifted"
          error={isWrong ? 'Before the first day.' : undefined}
          value={until}
          onChange={(event) => setUntil(event.currentTarget.value)}
        />
      )}
      <TextInput
        label="For the coach on the mat"
        description="What they need to know, nothing more"
        maxLength={200}
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <div className={classes.add}>
        <Button type="submit" loading={sending} disabled={isWrong || !from}>
          Keep it
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

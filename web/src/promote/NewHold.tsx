import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import classes from './NewHold.module.css';

/** Why somebody stays at their rank, and when that is looked at again. */
export function NewHold({
  today,
  sending,
  onDone,
  onCancel,
}: {
  today: string;
  sending: boolean;
  onDone: (body: { reason: string; reviewOn: string | null }) => void;
  onCancel: () => void;
}) {
  const [reason, setReason] = useState('');
  const [reviewOn, setReviewOn] = useState('');
  const isWrong = reviewOn !== '' && reviewOn <= today;
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        onDone({ reason: reason.trim(), reviewOn: reviewOn || null });
      }}
    >
      <TextInput
        label="Why they stay at this rank"
        autoFocus
        maxLength={300}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <TextInput
        label="To be looked at again"
        type="date"
        error={isWrong ? 'A day to come.' : undefined}
        value={reviewOn}
        onChange={(event) => setReviewOn(event.currentTarget.value)}
      />
      <div className={classes.add}>
        <Button type="submit" loading={sending} disabled={!reason.trim() || isWrong}>
          Hold back
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { OnBank, Rank } from '../api/types';
import { Belt } from '../ui/Belt';
import classes from './Board.module.css';
import { type Decide, isReady } from './useDecide';

type Props = { one: OnBank; next: Rank; decide: Decide; today: string; onClose: () => void };

/** What is given, and from which day; why, where not everything is there. */
export function GiveRank({ one, next, decide, today, onClose }: Props) {
  const [day, setDay] = useState(today);
  const [reason, setReason] = useState('');
  const needsReason = !isReady(one);
  return (
    <form
      className={classes.reason}
      aria-label={`Promote ${one.name}`}
      onSubmit={async (event) => {
        event.preventDefault();
        if (await decide.promote(one, day, reason.trim())) onClose();
      }}
    >
      <p className={classes.worn}>
        <Belt colours={next.colours} of={next.stripes} />
        <span>
          {one.calledBy} gets <strong>{next.name}</strong>
        </span>
      </p>
      <TextInput
        label="From which day"
        type="date"
        required
        min={one.since}
        max={today}
        value={day}
        onChange={(event) => setDay(event.currentTarget.value)}
      />
      {needsReason && (
        <TextInput
          label="Not everything is there. Why all the same?"
          description="Kept with the promotion, with the figures of this moment"
          autoFocus
          maxLength={300}
          value={reason}
          onChange={(event) => setReason(event.currentTarget.value)}
        />
      )}
      <div className={classes.actions}>
        <Button type="submit" loading={decide.sending} disabled={!day || (needsReason && !reason.trim())}>
          {needsReason ? 'Promote all the same' : `Give ${next.name.toLowerCase()}`}
        </Button>
        <Button variant="default" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

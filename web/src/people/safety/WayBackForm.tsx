import { Button, MultiSelect, TextInput } from '@mantine/core';
import { useRef, useState } from 'react';
import { nth } from '../../ui/lists';
import { daysAfter } from '../../ui/words';
import classes from './Limits.module.css';
import { type Kind, kindOptions } from './limitKinds';

const MOST = 4;
const WEEKS = 14;

type Stage = { key: number; from: string; limits: Kind[]; note: string };
export type NewWayBack = {
  steps: { from: string; limits: Kind[]; note: string | null }[];
  full: string | null;
};

/** What most coaches would begin with; each line is theirs to change. */
const usual = (today: string): Stage[] => [
  { key: 0, from: today, limits: ['NO_THROWS', 'LIGHT_ONLY'], note: '' },
  { key: 1, from: daysAfter(today, WEEKS), limits: ['NO_THROWS_TAKEN', 'NO_LIVE'], note: '' },
  { key: 2, from: daysAfter(today, 2 * WEEKS), limits: ['NO_LIVE'], note: '' },
];

type Props = {
  today: string;
  sending: boolean;
  onDone: (body: NewWayBack) => void;
  onCancel: () => void;
};

/** Up to four dated steps back into training, after what the doctor or physiotherapist said. */
export function WayBackForm({ today, sending, onDone, onCancel }: Props) {
  const [steps, setSteps] = useState(() => usual(today));
  const [full, setFull] = useState(() => daysAfter(today, 3 * WEEKS));
  const keys = useRef(MOST);
  const change = (key: number, what: Partial<Stage>) =>
    setSteps(steps.map((step) => (step.key === key ? { ...step, ...what } : step)));
  const isLate = (n: number) => n > 0 && nth(steps, n).from <= nth(steps, n - 1).from;
  const isWrong =
    steps.some((step, n) => !step.from || step.limits.length === 0 || isLate(n)) ||
    (full !== '' && full <= nth(steps, steps.length - 1).from);
  const add = () => {
    const last = nth(steps, steps.length - 1);
    setSteps([
      ...steps,
      { key: keys.current++, from: daysAfter(last.from, WEEKS), limits: last.limits, note: '' },
    ]);
  };
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        onDone({
          steps: steps.map(({ from, limits, note }) => ({ from, limits, note: note.trim() || null })),
          full: full || null,
        });
      }}
    >
      <p className="quiet">
        Set it after what the doctor or physiotherapist said. Pairs, class plans and the names on the mat
        follow it; the coach sees which step holds.
      </p>
      {steps.map((step, n) => (
        <fieldset key={step.key} className={classes.stage}>
          <legend>Step {n + 1}</legend>
          <TextInput
            label="From"
            type="date"
            value={step.from}
            error={isLate(n) ? 'After the step before it.' : undefined}
            onChange={(event) => change(step.key, { from: event.currentTarget.value })}
          />
          <MultiSelect
            label="Not yet"
            data={kindOptions.filter((one) => one.value !== 'HEAD_KNOCK')}
            value={step.limits}
            error={step.limits.length === 0 ? 'What must not be done yet?' : undefined}
            onChange={(value) => change(step.key, { limits: value as Kind[] })}
          />
          <TextInput
            label="For the coach on the mat"
            placeholder="What they do instead"
            maxLength={200}
            value={step.note}
            onChange={(event) => change(step.key, { note: event.currentTarget.value })}
          />
          {steps.length > 1 && (
            <Button
              variant="subtle"
              size="compact-md"
              onClick={() => setSteps(steps.filter((one) => one.key !== step.key))}
            >
              Take step {n + 1} out
            </Button>
          )}
        </fieldset>
      ))}
      {steps.length < MOST && (
        <Button variant="subtle" size="compact-md" onClick={add}>
          Another step
        </Button>
      )}
      <TextInput
        label="Full training from"
        type="date"
        description="Left empty, the last step holds until lifted"
        error={full !== '' && full <= nth(steps, steps.length - 1).from ? 'After the last step.' : undefined}
        value={full}
        onChange={(event) => setFull(event.currentTarget.value)}
      />
      <div className={classes.add}>
        <Button type="submit" loading={sending} disabled={isWrong}>
          Keep it
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

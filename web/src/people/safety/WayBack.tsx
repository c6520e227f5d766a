import { Button } from '@mantine/core';
import { nth } from '../../ui/lists';
import { date, daysAfter } from '../../ui/words';
import classes from './Limits.module.css';
import { KINDS, type Limit, stepsOf } from './limitKinds';

const WEEK = 7;

type Props = {
  /** The limits of the way back that are not over. */
  steps: Limit[];
  today: string;
  sending: boolean;
  tell: (where: string, body: unknown, done: string) => Promise<boolean>;
};

/** The way back into training: which step holds, which come, and what is done when it takes longer or is over. */
export function WayBack({ steps, today, sending, tell }: Props) {
  const all = stepsOf(steps);
  const last = nth(all, all.length - 1);
  return (
    <div className={classes.limit}>
      <div>
        <strong>On the way back</strong>
        <ol className={classes.steps} aria-label="Way back">
          {all.map((step) => (
            <li key={step.number} aria-current={step.from <= today ? 'step' : undefined}>
              <span className={classes.when}>
                {step.from <= today ? 'Now' : `From ${date(step.from)}`}, step {step.number} of {step.of}
              </span>
              <span>
                {step.kinds.map((kind) => KINDS[kind]).join('; ')}
                {step.note && <span className="quiet"> ({step.note})</span>}
              </span>
            </li>
          ))}
          <li>
            <span className={classes.when}>
              {last.until ? `From ${date(daysAfter(last.until, 1))}` : 'When lifted'}
            </span>
            <span>Full training</span>
          </li>
        </ol>
      </div>
      <div className={classes.add}>
        <Button
          variant="default"
          size="compact-md"
          loading={sending}
          onClick={() => tell('limits/way-back/longer', { days: WEEK }, 'This step lasts a week longer.')}
        >
          A week longer
        </Button>
        <Button
          variant="default"
          size="compact-md"
          loading={sending}
          onClick={() => tell('limits/way-back/lift', undefined, 'Back in full training.')}
        >
          Back in full
        </Button>
      </div>
    </div>
  );
}

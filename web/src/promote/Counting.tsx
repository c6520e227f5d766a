import { Button, Checkbox, MultiSelect, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { send } from '../api/client';
import type { LadderView } from '../api/types';
import { useChanged } from '../form/useEdit';
import { nth } from '../ui/lists';
import { useNotices } from '../ui/Notices';
import classes from './Board.module.css';

const MONTHS = Array.from({ length: 12 }, (_, n) =>
  new Intl.DateTimeFormat('en-GB', { month: 'long' }).format(new Date(2026, n, 15)),
);

/** What counts on a ladder and when belts are given; the head coach's to change. */
export function Counting({ view: { ladder, policyTag } }: { view: LadderView }) {
  const { policy } = ladder;
  const [months, setMonths] = useState(policy.promotionMonths.map(String));
  const [perStripe, setPerStripe] = useState(policy.classesPerStripe);
  const [is, setIs] = useState({
    oneClassADay: policy.oneClassADay,
    seminars: policy.seminars,
    chart: policy.chart,
    conduct: policy.conduct,
  });
  const [sending, setSending] = useState(false);
  const say = useNotices();
  const changed = useChanged();
  const keep = async () => {
    setSending(true);
    try {
      const promotionMonths = months.map((n) => nth(MONTHS, Number(n) - 1).toUpperCase());
      const body = { promotionMonths, classesPerStripe: perStripe, ...is };
      await send('PUT', `/ladders/${ladder.id}/counting`, body, policyTag);
      await changed('ladder');
      say.done(`${ladder.name}: kept.`);
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  const box = (field: keyof typeof is, label: string) => (
    <Checkbox
      label={label}
      checked={is[field]}
      onChange={(event) => setIs({ ...is, [field]: event.currentTarget.checked })}
    />
  );
  return (
    <details>
      <summary>What counts on this ladder</summary>
      <form
        className={classes.reason}
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <MultiSelect
          label="Belts are given in"
          placeholder={months.length === 0 ? 'Any month' : ''}
          data={MONTHS.map((label, n) => ({ value: String(n + 1), label }))}
          value={months}
          onChange={setMonths}
        />
        {policy.stripes === 'BY_CLASSES' && (
          <NumberInput
            label="Classes for a stripe"
            min={0}
            max={1000}
            value={perStripe}
            onChange={(n) => setPerStripe(Number(n) || 0)}
          />
        )}
        {box('oneClassADay', 'One class a day counts')}
        {box('seminars', 'Seminars count as classes')}
        {box('chart', 'A home chart must have been seen')}
        {box('conduct', 'Conduct must have been noted')}
        <div className={classes.actions}>
          <Button type="submit" variant="default" loading={sending}>
            Keep it
          </Button>
        </div>
      </form>
    </details>
  );
}

import { Button, NumberInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { newId, send } from '../api/client';
import { useSession } from '../api/club';
import { useToday } from '../api/mat';
import type { Ladder, LadderView, Promotion } from '../api/types';
import { useChanged } from '../form/useEdit';
import { Belt } from '../ui/Belt';
import { useNotices } from '../ui/Notices';
import { date } from '../ui/words';
import { Figures } from './Figures';
import classes from './Given.module.css';

/** Belts and stripes as they came, each with who, when, and what the verdict rested on; corrected ones are struck through. */
export function Given({ promotions, ladders }: { promotions: Promotion[]; ladders: LadderView[] }) {
  const isHead = useSession().data?.role === 'HEAD';
  const [correcting, setCorrecting] = useState<string | null>(null);
  const say = useNotices();
  const changed = useChanged();
  if (promotions.length === 0) return null;
  const corrected = new Set(promotions.flatMap((one) => one.corrects ?? []));
  const last = promotions.at(-1);
  const takeBack = async (given: Promotion) => {
    try {
      await send('DELETE', `/promotions/${given.id}`);
      await changed('promotion');
      say.done('Taken back.');
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <section aria-label="Belts and stripes">
      <h2>Belts and stripes</h2>
      <ul className={classes.belts}>
        {[...promotions].reverse().map((given) => {
          const ladder = ladders.find((one) => one.ladder.id === given.ladder)?.ladder;
          const rank = ladder?.ranks.find((one) => one.id === given.to);
          const isOver = corrected.has(given.id);
          return (
            <li key={given.id}>
              {rank ? <Belt colours={rank.colours} stripes={given.stripes} of={rank.stripes} /> : <span />}
              <div className={isOver ? classes.over : undefined}>
                {rank?.name ?? given.to}
                {given.from === given.to && `, stripe ${given.stripes}`}
                <span className="quiet">
                  {' '}
                  {date(given.date)}
                  {given.fromBefore ? ', from before' : given.by && `, ${given.by}`}
                  {given.corrects && ', a correction'}
                  {given.reason && `: ${given.reason}`}
                  {isOver && ', corrected'}
                </span>
                <Figures verdict={given.verdict} figures={given.figures} />
                {isHead && !isOver && ladder && correcting !== given.id && (
                  <span className={classes.ways}>
                    {!given.announced && !given.fromBefore && given.id === last?.id ? (
                      <Button variant="subtle" size="compact-sm" onClick={() => takeBack(given)}>
                        Take back
                      </Button>
                    ) : (
                      <Button variant="subtle" size="compact-sm" onClick={() => setCorrecting(given.id)}>
                        Correct
                      </Button>
                    )}
                  </span>
                )}
                {correcting === given.id && ladder && (
                  <Correction given={given} ladder={ladder} onDone={() => setCorrecting(null)} />
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Correction({ given, ladder, onDone }: { given: Promotion; ladder: Ladder; onDone: () => void }) {
  const today = useToday();
  const [to, setTo] = useState(given.to);
  const [stripes, setStripes] = useState(given.stripes);
  const [day, setDay] = useState(given.date);
  const [reason, setReason] = useState('');
  const [sending, setSending] = useState(false);
  const say = useNotices();
  const changed = useChanged();
  const most = ladder.ranks.find((one) => one.id === to)?.stripes ?? 0;
  const keep = async () => {
    setSending(true);
    try {
      await send('POST', `/promotions/${given.id}/correction`, {
        id: newId('pr'),
        to,
        stripes: Math.min(stripes, most),
        date: day,
        reason: reason.trim(),
      });
      await changed('promotion');
      say.done('Corrected; both stay in the history.');
      onDone();
    } catch (error) {
      say.failed(error);
      setSending(false);
    }
  };
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <Select
        label="What was meant"
        data={ladder.ranks.map((one) => ({ value: one.id, label: one.name }))}
        allowDeselect={false}
        value={to}
        onChange={(id) => id && setTo(id)}
      />
      {most > 0 && (
        <NumberInput
          label="Stripes"
          min={0}
          max={most}
          value={Math.min(stripes, most)}
          onChange={(n) => setStripes(Number(n) || 0)}
        />
      )}
      <TextInput
        label="Day"
        type="date"
        max={today}
        value={day}
        onChange={(event) => setDay(event.currentTarget.value)}
      />
      <TextInput
        label="What was wrong"
        maxLength={300}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <div>
        <Button type="submit" loading={sending} disabled={!reason.trim() || !day || day > today}>
          Correct it
        </Button>{' '}
        <Button variant="default" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

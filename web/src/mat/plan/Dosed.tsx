import { Button, NumberInput, Select, TextInput } from '@mantine/core';
import type { Block, DoseSum } from '../../api/types';
import { useErrorAt } from '../../form/useDraft';
import classes from './PlanPage.module.css';

type DosedProps = {
  block: Block;
  dose: NonNullable<Block['dose']>;
  sum: DoseSum | null;
  nth: string;
  at: string;
  onChange: (block: Block) => void;
};

/** How it is dosed: explaining, changes, pace; and what fits, either way round. */
export function Dosed({ block, dose, sum, nth, at, onChange }: DosedProps) {
  const error = useErrorAt();
  const change = (part: Partial<typeof dose>) => onChange({ ...block, dose: { ...dose, ...part } });
  const number = (
    label: string,
    field: 'explain' | 'swaps' | 'pace' | 'resistance',
    suffix: string,
    max: number,
  ) => (
    <NumberInput
      label={label}
      aria-label={`${label} of ${nth}`}
      suffix={suffix}
      min={0}
      max={max}
      error={error(`${at}.dose.${field}`)}
      value={dose[field]}
      onChange={(value) => change({ [field]: Number(value) })}
    />
  );
  const isAlone = block.kind === 'BREAKFALLS';
  return (
    <details className={classes.dosed}>
      <summary>
        {sum
          ? `Room for ${sum.each} reps${dose.sides === 'BOTH' ? ' a side' : ''}; ${dose.reps} reps take about ${sum.needs} min`
          : 'How it is dosed'}
      </summary>
      <div className={classes.dose}>
        {number('Explaining', 'explain', ' s to show', 3600)}
        {!isAlone && number('Swaps', 'swaps', ' swaps', 50)}
        {number('Pace', 'pace', ' s a rep', 600)}
        {!isAlone && number('Resistance', 'resistance', ' of 3 effort', 3)}
        <Select
          label="Tempo"
          aria-label={`Tempo of ${nth}`}
          data={[
            { value: 'SLOW', label: 'slow' },
            { value: 'BUILDING', label: 'building' },
            { value: 'FAST', label: 'fast' },
          ]}
          value={dose.tempo}
          allowDeselect={false}
          onChange={(tempo) => change({ tempo: tempo as typeof dose.tempo })}
        />
        <Select
          label="On"
          aria-label={`Surface of ${nth}`}
          data={[
            { value: 'MAT', label: 'on the mat' },
            { value: 'CRASH_MAT', label: 'on the crash mat' },
          ]}
          value={dose.surface}
          allowDeselect={false}
          onChange={(surface) => change({ surface: surface as typeof dose.surface })}
        />
        {!isAlone && (
          <Select
            label="Stances"
            aria-label={`Stances in ${nth}`}
            data={[
              { value: 'ANY', label: 'any stance' },
              { value: 'ALIKE', label: 'same stance' },
              { value: 'OPPOSED', label: 'opposite stance' },
            ]}
            value={block.leads}
            allowDeselect={false}
            onChange={(leads) => onChange({ ...block, leads: leads as Block['leads'] })}
          />
        )}
        <TextInput
          label="Stop when"
          aria-label={`Stop of ${nth}`}
          placeholder="Stop when …"
          maxLength={120}
          error={error(`${at}.dose.stop`)}
          value={dose.stop ?? ''}
          onChange={(event) => change({ stop: event.currentTarget.value || null })}
        />
      </div>
      {sum && (
        <p className={classes.fits}>
          {sum.each !== dose.reps && sum.each > 0 && sum.each <= 500 && (
            <Button size="compact-md" variant="subtle" onClick={() => change({ reps: sum.each })}>
              Do {sum.each}
            </Button>
          )}
          {sum.needs !== block.minutes && sum.needs >= 1 && sum.needs <= 240 && (
            <Button
              size="compact-md"
              variant="subtle"
              onClick={() => onChange({ ...block, minutes: sum.needs })}
            >
              Take {sum.needs} min
            </Button>
          )}
        </p>
      )}
    </details>
  );
}

import { Button, Select } from '@mantine/core';
import type { ReactNode } from 'react';
import type { Eyes, MapIndex } from '../api/map';
import type { LadderView } from '../api/types';
import classes from '../hill/Legend.module.css';

/** What the map is asked; each stands in the address, so that it can be sent and gone back to. */
export type Lens = {
  /** "gaps", "evidence" or "changes"; null: what the eyes show by themselves. */
  lens: string | null;
  /** A ruleset, or "jacket:NO_JACKET"; null: the whole map. */
  rules: string | null;
  against: 'same' | 'anyone';
  /** The rank to compare with. */
  versus: string | null;
  since: string | null;
};

type Props = {
  map: MapIndex;
  eyes: Eyes;
  ladders: LadderView[];
  lens: Lens;
  onChange: (name: keyof Lens, value: string | null) => void;
  children: ReactNode;
};

/** At the foot of the hill: what is looked at, under which rules, against whom; and what it means. */
export function LensBar({ map, eyes, ladders, lens, onChange, children }: Props) {
  const looks = [
    { value: 'plain', label: eyes.kind === 'club' ? 'The bare hill' : 'Reach and gaps' },
    ...(eyes.kind === 'club' ? [{ value: 'gaps', label: 'Gaps' }] : []),
    { value: 'evidence', label: 'Rounds logged' },
    { value: 'changes', label: 'Changes since …' },
  ];
  const ladder =
    eyes.kind === 'rank' ? ladders.find((v) => v.ladder.ranks.some((r) => r.id === eyes.id)) : undefined;
  return (
    <section className={classes.bar} aria-label="Lens" data-no-print>
      <Select
        aria-label="What to look at"
        size="xs"
        className={classes.pick}
        data={looks}
        value={lens.lens ?? 'plain'}
        allowDeselect={false}
        onChange={(value) => onChange('lens', value === 'plain' ? null : value)}
      />
      {lens.lens === 'changes' && (
        <input
          type="date"
          aria-label="Since"
          className={classes.day}
          value={lens.since ?? ''}
          onChange={(event) => onChange('since', event.currentTarget.value || null)}
        />
      )}
      <Select
        aria-label="Under which rules"
        size="xs"
        className={classes.pick}
        data={[
          { value: 'all', label: 'Every ruleset' },
          ...map.data.rulesets.map((r) => ({ value: r.id, label: r.name })),
          { value: 'jacket:JACKET', label: 'With a jacket' },
          { value: 'jacket:NO_JACKET', label: 'Without a jacket' },
        ]}
        value={lens.rules ?? 'all'}
        allowDeselect={false}
        onChange={(value) => onChange('rules', value === 'all' ? null : value)}
      />
      {eyes.kind !== 'club' && (
        <Select
          aria-label="Against whom"
          size="xs"
          className={classes.pick}
          data={[
            { value: 'same', label: 'Against class-mates' },
            { value: 'anyone', label: 'Against anyone' },
          ]}
          value={lens.against}
          allowDeselect={false}
          onChange={(value) => onChange('against', value === 'same' ? null : value)}
        />
      )}
      {ladder && (
        <Select
          aria-label="Compare with"
          placeholder="Compare with …"
          size="xs"
          className={classes.pick}
          clearable
          data={ladder.ladder.ranks
            .filter((r) => eyes.kind === 'rank' && r.id !== eyes.id)
            .map((r) => ({ value: r.id, label: `Beside ${r.name}` }))}
          value={lens.versus}
          onChange={(value) => onChange('versus', value)}
        />
      )}
      {children}
      <Button variant="default" size="xs" onClick={() => window.print()}>
        Print
      </Button>
    </section>
  );
}

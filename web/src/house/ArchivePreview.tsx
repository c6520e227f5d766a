import { Button, Radio } from '@mantine/core';
import { useState } from 'react';
import { count } from '../ui/words';
import classes from './Exchange.module.css';
import type { Looked } from './exchange';

type Props = {
  looked: Extract<Looked, { kind: 'archive' }>;
  busy: boolean;
  onTake: (mode: 'merge' | 'replace') => void;
};

const THINGS: [string, string, string][] = [
  ['pairs', 'position pair', 'position pairs'],
  ['techniques', 'technique', 'techniques'],
  ['links', 'link', 'links'],
  ['chains', 'chain', 'chains'],
  ['ladders', 'ladder', 'ladders'],
  ['people', 'person', 'people'],
  ['classes', 'class', 'classes'],
  ['attendance', 'attendance', 'attendances'],
  ['practice', 'drill logged', 'drills logged'],
  ['marks', 'mark', 'marks'],
  ['promotions', 'promotion', 'promotions'],
  ['rounds', 'round', 'rounds'],
];

/** "47 position pairs, 223 techniques, …", without what there is none of. */
const holds = (things: Record<string, number>) =>
  THINGS.map(([part, one, many]) => ({ n: things[part] ?? 0, one, many }))
    .filter(({ n }) => n > 0)
    .map(({ n, one, many }) => count(n, one, many))
    .join(', ') || 'nothing yet';

/** A club's file before it is taken: what is in it, what merging would do, what replacing takes away. */
export function ArchivePreview({ looked, busy, onTake }: Props) {
  const { contents, file } = looked;
  const [mode, setMode] = useState<'merge' | 'replace'>('merge');
  const touched = contents.merge.filter((part) => part.added + part.changed > 0);
  const clash = contents.conflicts[0];
  return (
    <div className={classes.preview}>
      <p>
        <strong>{file.name} is sound.</strong> {contents.name}: {holds(contents.things)}.
      </p>
      <Radio.Group
        value={mode}
        onChange={(value) => setMode(value as typeof mode)}
        aria-label="What becomes of this club"
      >
        <Radio
          value="merge"
          label="Merge: the file’s map, chains and ladders win; its people and records are added"
        />
        <Radio mt={8} value="replace" label="Replace: everything this club holds now is taken away" />
      </Radio.Group>
      {mode === 'merge' && clash && (
        <p role="alert" className={classes.bad}>
          Cannot be merged: {clash.sentence}
          {contents.conflicts.length > 1 ? ` (and ${contents.conflicts.length - 1} more)` : ''}.
        </p>
      )}
      {mode === 'merge' && !clash && (
        <p>
          {touched.length === 0
            ? 'Merging would change nothing.'
            : `Merging would change ${touched
                .map((part) => `${part.part}: ${part.added} new, ${part.changed} changed`)
                .join('; ')}.`}
        </p>
      )}
      {mode === 'replace' && (
        <p className={classes.bad}>Give out the whole club first, to have a way back.</p>
      )}
      <Button
        color={mode === 'replace' ? 'rowan' : undefined}
        loading={busy}
        disabled={mode === 'merge' && (clash !== undefined || touched.length === 0)}
        onClick={() => onTake(mode)}
      >
        {mode === 'merge' ? 'Merge this file into the club' : 'Replace the club with this file'}
      </Button>
    </div>
  );
}

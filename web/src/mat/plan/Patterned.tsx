import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { usePatterns } from '../../api/mat';
import type { Block } from '../../api/types';
import { freeId } from '../../form/fields';
import { Taking } from '../../form/Taking';
import { useEdit } from '../../form/useEdit';
import classes from './PlanPage.module.css';
import { copied, minutesOf } from './plan';

/** Takes the blocks of a pattern. */
export function Patterned({ onTake }: { onTake: (blocks: Block[]) => void }) {
  const patterns = usePatterns();
  if (!patterns.data?.length) return null;
  return (
    <Taking
      aria-label="Add the blocks of a pattern"
      placeholder="Add a pattern"
      searchable
      data={patterns.data.map(({ pattern }) => ({
        value: pattern.id,
        label: `${pattern.name}, ${minutesOf(pattern.blocks)} min`,
      }))}
      onTake={(id) => {
        const one = patterns.data.find(({ pattern }) => pattern.id === id);
        if (one) onTake(copied(one.pattern.blocks));
      }}
    />
  );
}

/** Keeps the blocks of a class to begin others from. */
export function KeepPattern({ blocks, theme }: { blocks: Block[]; theme: string | null }) {
  const patterns = usePatterns();
  const [name, setName] = useState<string | null>(null);
  const edit = useEdit();
  if (name === null)
    return (
      <Button variant="default" className={classes.keep} onClick={() => setName(theme ?? '')}>
        Keep as a pattern
      </Button>
    );
  const keep = async () => {
    const full = name.trim();
    const id = freeId(full, (taken) => !!patterns.data?.some(({ pattern }) => pattern.id === taken));
    const kept = await edit.save({
      place: 'patterns',
      body: { id, name: full, blocks },
      tag: null,
      done: `${full} is kept as a pattern.`,
    });
    if (kept) setName(null);
  };
  return (
    <fieldset className={classes.keep}>
      <legend>Keep as a pattern</legend>
      <TextInput
        aria-label="Name of the pattern"
        placeholder="The usual ninety minutes"
        maxLength={100}
        autoFocus
        value={name}
        onChange={(event) => setName(event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault(); // the class is not saved by it
          if (name.trim()) keep();
        }}
      />
      <Button loading={edit.saving} disabled={!name.trim()} onClick={keep}>
        Keep it
      </Button>
      <Button variant="default" onClick={() => setName(null)}>
        Cancel
      </Button>
      {edit.problem && <p role="alert">{edit.problem.message}</p>}
    </fieldset>
  );
}

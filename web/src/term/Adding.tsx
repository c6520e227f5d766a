import { Button } from '@mantine/core';
import type { UseQueryResult } from '@tanstack/react-query';
import { useState } from 'react';
import { useChains, useMap } from '../api/map';
import type { Wanted } from '../api/types';
import { techniqueOptions } from '../form/pickers';
import { Taking } from '../form/Taking';
import { Loaded } from '../ui/States';
import classes from './Panels.module.css';

/** Something that can be taught: a technique or a chain. */
export type Subject = { technique: string | null; chain: string | null; name: string };

/** Chooses a technique or a chain of the club by its name. */
export function AddByName({ has, onAdd }: { has: Set<string>; onAdd: (subject: Subject) => void }) {
  const map = useMap();
  const chains = useChains();
  return (
    <Taking
      aria-label="Add a technique or a chain"
      placeholder="Add by name"
      searchable
      limit={60}
      data={[
        {
          group: 'Techniques',
          items: ((map.data ? techniqueOptions(map.data) : []) as { value: string; label: string }[])
            .filter(({ value }) => !has.has(value))
            .map(({ value, label }) => ({ value: `t:${value}`, label })),
        },
        {
          group: 'Chains',
          items: (chains.data ?? [])
            .filter(({ chain }) => !has.has(chain.id))
            .map(({ chain }) => ({ value: `c:${chain.id}`, label: chain.name })),
        },
      ]}
      onTake={(value, label) => {
        const id = value.slice(2);
        const isChain = value.startsWith('c:');
        onAdd({ technique: isChain ? null : id, chain: isChain ? id : null, name: label });
      }}
    />
  );
}

const SHOWN = 12;

type NeededProps = {
  wanted: UseQueryResult<Wanted[]>;
  has: Set<string>;
  onAdd: (subjects: Subject[]) => void;
};

/** What the ranks of a track ask for and its people lack or have lost, the most wanted first. */
export function NeededNext({ wanted, has, onAdd }: NeededProps) {
  const [all, setAll] = useState(false);
  return (
    <>
      <h3>What they need next</h3>
      <Loaded query={wanted}>
        {(needs) => {
          const left = needs.filter((one) => !has.has(one.technique ?? one.chain ?? ''));
          if (left.length === 0)
            return (
              <p className="quiet">
                {needs.length === 0
                  ? 'No rank asks this track for anything it lacks. Add techniques and chains by name.'
                  : 'All that the ranks of this track ask for is in it already, or held.'}
              </p>
            );
          const top = left.slice(0, SHOWN);
          return (
            <>
              <Button variant="default" onClick={() => onAdd(top)}>
                Take the first {top.length}
              </Button>
              <ul className={classes.goals} aria-label="Needed next">
                {(all ? left : top).map((one) => (
                  <li key={one.technique ?? one.chain}>
                    <strong>{one.name}</strong>
                    <small>
                      {one.need > 0 &&
                        `${one.need} need it${one.soon < one.need ? `, ${one.soon} by the grading` : ''}`}
                      {one.need > 0 && one.rusty > 0 && ', '}
                      {one.rusty > 0 && `rusty in ${one.rusty}`}
                    </small>
                    <Button
                      size="compact-sm"
                      variant="default"
                      aria-label={`add ${one.name}`}
                      onClick={() => onAdd([one])}
                    >
                      add
                    </Button>
                  </li>
                ))}
              </ul>
              {!all && left.length > SHOWN && (
                <Button size="compact-md" variant="subtle" onClick={() => setAll(true)}>
                  {left.length - SHOWN} more
                </Button>
              )}
            </>
          );
        }}
      </Loaded>
    </>
  );
}

import { Button, MultiSelect, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Problem, send } from '../../api/client';
import { useLadders } from '../../api/ladders';
import type { CycleView } from '../../api/types';
import term from '../Term.module.css';

type Props = { view: CycleView; onLaid: (view: CycleView) => void; onClose: () => void };

/** Lays the syllabuses of ranks out in theme weeks; it is looked at before it is taken. */
export function LayOut({ view, onLaid, onClose }: Props) {
  const ladders = useLadders().data ?? [];
  const [ranks, setRanks] = useState<string[]>([]);
  const [weeks, setWeeks] = useState<number | string>('');
  const [problem, setProblem] = useState<Problem | null>(null);
  const groups = ladders
    .map(({ ladder }) => ({
      group: ladder.name,
      items: ladder.ranks
        .filter((rank) => rank.syllabus.some((group) => group.items.length > 0))
        .map((rank) => ({ value: rank.id, label: rank.name })),
    }))
    .filter(({ items }) => items.length > 0);
  const lay = async () => {
    setProblem(null);
    try {
      onLaid(
        await send('POST', '/cycles/spread', {
          cycle: view.cycle,
          ranks,
          weeks: Number(weeks) || 0,
        }),
      );
    } catch (error) {
      setProblem(error as Problem);
    }
  };
  return (
    <>
      <div className={term.panelHead}>
        <h2>Lay out a syllabus</h2>
        <Button size="compact-md" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </div>
      {groups.length === 0 ? (
        <p>
          No rank has a syllabus yet. Write one in <Link to="/ranks">Ranks</Link>, or close this and add the
          weeks one by one.
        </p>
      ) : (
        <>
          <p className="quiet">
            What builds on each other comes in one week, what begins in one position together, the weeks as
            even as can be.
          </p>
          <MultiSelect label="Ranks" data={groups} value={ranks} onChange={setRanks} searchable />
          <NumberInput
            label="Weeks"
            description="Left empty: as few as bear it"
            min={1}
            max={52}
            value={weeks}
            onChange={setWeeks}
          />
          {problem && (
            <p role="alert" className={term.breaks}>
              {problem.message}
            </p>
          )}
          <p className={term.acts}>
            <Button disabled={ranks.length === 0} onClick={lay}>
              Lay it out
            </Button>
          </p>
        </>
      )}
    </>
  );
}

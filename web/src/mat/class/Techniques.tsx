import { Select } from '@mantine/core';
import type { MapIndex } from '../../api/map';
import type { TrainingClass } from '../../api/types';
import { Choice, Choices } from '../../record/Judge';
import classes from './MatPage.module.css';

/** The techniques that a class drills, in its order. */
export const drilledIn = (training: TrainingClass) => [
  ...new Set(training.blocks.flatMap((block) => block.technique ?? [])),
];

/** The one that is judged first: what was drilled, breakfalls last. */
export const firstOf = (drilled: string[], map: MapIndex) =>
  drilled.find((id) => map.technique.get(id)?.family !== 'BREAKFALL') ?? drilled[0] ?? null;

type Props = { map: MapIndex; drilled: string[]; chosen: string | null; onChoose: (id: string) => void };

/** A technique of this class in one touch, any other by its name. */
export function Techniques({ map, drilled, chosen, onChoose }: Props) {
  return (
    <>
      {drilled.length > 0 && (
        <Choices label="Technique">
          {drilled.map((id) => (
            <Choice key={id} on={id === chosen} onClick={() => onChoose(id)}>
              {map.technique.get(id)?.name}
            </Choice>
          ))}
        </Choices>
      )}
      <Select
        className={classes.another}
        aria-label="Another technique"
        placeholder="Another technique"
        searchable
        limit={60}
        data={map.data.techniques
          .filter((t) => !t.retired && !drilled.includes(t.id))
          .map((t) => ({ value: t.id, label: t.name }))}
        value={chosen && drilled.includes(chosen) ? null : chosen}
        onChange={(id) => id && onChoose(id)}
      />
    </>
  );
}

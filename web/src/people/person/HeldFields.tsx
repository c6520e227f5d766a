import { NumberInput, SegmentedControl, Select, TextInput } from '@mantine/core';
import type { LadderView } from '../../api/types';
import { rankOptions } from '../../rank/ladders';
import { count } from '../../ui/words';
import classes from './PersonPage.module.css';

/** A rank that somebody comes with. */
export type Held = {
  ladder: string;
  rank: string;
  stripes: number;
  since: string;
  /** What they have of what is asked below it; null: to be asked later. */
  knows: 'ALL' | 'NOTHING' | null;
};

type HeldProps = { views: LadderView[]; held: Held | null; onHeld: (held: Held | null) => void };

/** How many things some ranks ask. */
const asked = (ranks: LadderView['ladder']['ranks']) =>
  ranks.flatMap((rank) => rank.syllabus.flatMap((group) => group.items)).length;

/** The rank they come with: the foot of a ladder for most, another one for who comes from elsewhere. */
export function HeldFields({ views, held, onHeld }: HeldProps) {
  const ranks = views.find((v) => v.ladder.id === held?.ladder)?.ladder.ranks ?? [];
  const at = ranks.findIndex((r) => r.id === held?.rank);
  const rank = ranks[at];
  const below = asked(ranks.slice(0, Math.max(at, 0)));
  return (
    <>
      <Select
        label="Rank"
        placeholder="None yet"
        clearable
        searchable
        data={rankOptions(views, (ladder, rank) => `${ladder.id} ${rank.id}`)}
        value={held && `${held.ladder} ${held.rank}`}
        onChange={(chosen) => {
          const [ladder, rank] = chosen?.split(' ') ?? [];
          onHeld(
            ladder && rank
              ? { ladder, rank, stripes: 0, since: held?.since ?? '', knows: held?.knows ?? null }
              : null,
          );
        }}
      />
      {held && (
        <TextInput
          label="Holds it since"
          description="Left empty: since they joined"
          type="date"
          value={held.since}
          onChange={(event) => onHeld({ ...held, since: event.currentTarget.value })}
        />
      )}
      {held && rank && below > 0 && (
        <div className={classes.wide}>
          <p className={classes.knows} id="knows">
            {count(below, 'thing is', 'things are')} asked below {rank.name.toLowerCase()}. Do they have them?
          </p>
          <SegmentedControl
            aria-labelledby="knows"
            value={held.knows ?? 'LATER'}
            onChange={(knows) =>
              onHeld({ ...held, knows: knows === 'LATER' ? null : (knows as Held['knows']) })
            }
            data={[
              { value: 'ALL', label: 'All of it' },
              { value: 'NOTHING', label: 'Nothing yet' },
              { value: 'LATER', label: 'Ask me later' },
            ]}
          />
        </div>
      )}
      {held && rank && rank.stripes > 0 && (
        <NumberInput
          label="Stripes"
          min={0}
          max={rank.stripes}
          value={held.stripes}
          onChange={(stripes) => onHeld({ ...held, stripes: Number(stripes) })}
        />
      )}
    </>
  );
}

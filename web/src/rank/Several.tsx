import { Button } from '@mantine/core';
import type { Item, Rank, SyllabusGroup } from '../api/types';
import { Taking } from '../form/Taking';
import { count } from '../ui/words';
import { type Move, STANDARDS, ToRank } from './ItemEditor';
import classes from './RankPage.module.css';
import { placed, withItems, withoutItems } from './syllabus';

type Props = {
  rank: Rank;
  /** Ids of what is chosen; null: nothing is being chosen. */
  chosen: string[] | null;
  onChoose: (chosen: string[] | null) => void;
  onSave: (groups: SyllabusGroup[], says: string) => void;
  /** The other ranks of the ladder, and taking items there. */
  others: Rank[];
  onMove: Move;
};

/** Several items changed at once. */
export function Several({ rank, chosen, onChoose, onSave, others, onMove }: Props) {
  if (!chosen)
    return (
      <Button variant="subtle" size="compact-md" onClick={() => onChoose([])}>
        Change several at once
      </Button>
    );
  const many = count(chosen.length, 'item', 'items');
  const keep = (groups: SyllabusGroup[], says: string) => {
    onSave(groups, `${many}: ${says}.`);
    onChoose(null);
  };
  const change = (part: Partial<Item>, says: string) => keep(withItems(rank.syllabus, chosen, part), says);
  const all = rank.syllabus.flatMap((group) => group.items).map((item) => item.id);
  return (
    <fieldset className={classes.editor} aria-label="Several at once">
      <p className={classes.acts}>
        {chosen.length === 0 ? 'Tick what is to be changed.' : `${many} chosen.`}
        <Button variant="subtle" size="compact-md" onClick={() => onChoose(all)}>
          All of them
        </Button>
      </p>
      <Taking
        label="Standard"
        size="sm"
        disabled={chosen.length === 0}
        data={STANDARDS}
        onTake={(standard, label) => change({ standard: standard as Item['standard'] }, label.toLowerCase())}
      />
      {rank.syllabus.length > 1 && (
        <Taking
          label="Into the group"
          size="sm"
          disabled={chosen.length === 0}
          data={rank.syllabus.map((group) => group.name)}
          onTake={(to) => keep(placed(rank.syllabus, chosen, to, null), `moved to ${to}`)}
        />
      )}
      {rank.stripes > 0 && (
        <Taking
          label="From stripe"
          size="sm"
          disabled={chosen.length === 0}
          data={Array.from({ length: rank.stripes + 1 }, (_, n) => String(n))}
          onTake={(stripe) => change({ stripe: Number(stripe) }, `from stripe ${stripe}`)}
        />
      )}
      <ToRank
        others={others}
        disabled={chosen.length === 0}
        onTake={(to) => {
          onMove(chosen, to, `${many} moved to ${to.name}.`);
          onChoose(null);
        }}
      />
      <div className={classes.acts}>
        <Button
          size="compact-md"
          variant="subtle"
          color="rowan"
          disabled={chosen.length === 0}
          onClick={() => keep(withoutItems(rank.syllabus, chosen), `taken out of ${rank.name}`)}
        >
          Take out
        </Button>
        <Button size="compact-md" variant="default" onClick={() => onChoose(null)}>
          Done
        </Button>
      </div>
    </fieldset>
  );
}

import { Button, Checkbox } from '@mantine/core';
import { type DragEvent, useState } from 'react';
import type { MapIndex } from '../api/map';
import type { Item, Rank, SyllabusGroup } from '../api/types';
import { Glyph } from '../ui/glyphs';
import { plain } from '../ui/words';
import { techniqueOf } from './families';
import { GroupHead } from './GroupHead';
import { ItemEditor, type Move } from './ItemEditor';
import classes from './RankPage.module.css';
import { Several } from './Several';
import { placed } from './syllabus';

type Props = {
  rank: Rank;
  map: MapIndex;
  called: (item: Item) => string;
  /** Keeps changed groups; missing: they are only looked at. */
  onSave?: (groups: SyllabusGroup[], says: string, changed?: Item) => void;
  /** The other ranks of the ladder, and taking items there. */
  others: Rank[];
  onMove: Move;
};

/** What a rank asks, group by group; items are changed in place, dragged, or several at once. */
export function Groups({ rank, map, called, onSave, others, onMove }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const [chosen, setChosen] = useState<string[] | null>(null);
  const [dragged, setDragged] = useState<string | null>(null);
  const toggle = (id: string) =>
    setChosen((all) => (all?.includes(id) ? all.filter((one) => one !== id) : [...(all ?? []), id]));
  const drop = (to: string, before: string | null) => {
    const item = rank.syllabus.flatMap((group) => group.items).find((one) => one.id === dragged);
    setDragged(null);
    if (!item || !onSave) return;
    const ids = chosen?.includes(item.id) ? chosen : [item.id];
    const groups = placed(rank.syllabus, ids, to, before);
    if (JSON.stringify(groups) !== JSON.stringify(rank.syllabus))
      onSave(groups, ids.length > 1 ? `${ids.length} items moved to ${to}.` : `${called(item)} moved.`, item);
  };
  /** Somebody drags over it; what is dropped on it is kept here. */
  const takes = (to: string, before: string | null) =>
    dragged !== null && {
      onDragOver: (event: DragEvent) => event.preventDefault(),
      onDrop: (event: DragEvent) => {
        event.preventDefault();
        event.stopPropagation();
        drop(to, before);
      },
    };
  return (
    <>
      {onSave && rank.syllabus.some((group) => group.items.length > 1) && (
        <Several {...{ rank, chosen, onSave, others, onMove }} onChoose={setChosen} />
      )}
      {rank.syllabus.map((group, n) => (
        <section key={group.name} className={classes.group} {...takes(group.name, null)}>
          <GroupHead rank={rank} at={n} onSave={onSave} />
          {group.items.length === 0 && <p className="quiet">Nothing in it yet.</p>}
          <ul>
            {group.items.map((item) => {
              const name = called(item);
              const technique = techniqueOf(item, map);
              return (
                <li
                  key={item.id}
                  className={dragged === item.id ? `${classes.item} ${classes.dragged}` : classes.item}
                  draggable={onSave !== undefined && open !== item.id}
                  onDragStart={() => setDragged(item.id)}
                  onDragEnd={() => setDragged(null)}
                  {...takes(group.name, item.id)}
                >
                  {chosen ? (
                    <Checkbox
                      aria-label={`Choose ${name}`}
                      checked={chosen.includes(item.id)}
                      onChange={() => toggle(item.id)}
                    />
                  ) : technique ? (
                    <Glyph family={technique.family} group={technique.group} size={20} />
                  ) : (
                    <i className={classes.dot} />
                  )}
                  <span>{name}</span>
                  <span className="quiet">{asked(item, technique?.sided === true)}</span>
                  {onSave && !chosen && (
                    <Button
                      variant="subtle"
                      size="compact-sm"
                      aria-label={`Change ${name}`}
                      aria-expanded={open === item.id}
                      onClick={() => setOpen(open === item.id ? null : item.id)}
                    >
                      …
                    </Button>
                  )}
                  {onSave && !chosen && open === item.id && (
                    <ItemEditor {...{ rank, group, item, name, map, onSave, others, onMove }} />
                  )}
                </li>
              );
            })}
          </ul>
        </section>
      ))}
    </>
  );
}

const SIDES: Record<string, string> = { BOTH: 'both sides', EITHER: '', RIGHT: 'right', LEFT: 'left' };

/** How much of it is asked: "shown · both sides · from stripe 2". */
const asked = (item: Item, isSided: boolean) =>
  [
    plain(item.standard).toLowerCase(),
    item.role === 'RECEIVER' ? 'receives it' : '',
    isSided ? SIDES[item.sides] : '',
    item.stripe ? `from stripe ${item.stripe}` : '',
  ]
    .filter(Boolean)
    .join(' · ');

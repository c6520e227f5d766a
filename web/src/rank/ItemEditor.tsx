import { Button, NumberInput, Select } from '@mantine/core';
import type { MapIndex } from '../api/map';
import type { Item, Rank, SyllabusGroup } from '../api/types';
import { Taking } from '../form/Taking';
import { plain } from '../ui/words';
import { techniqueOf } from './families';
import classes from './RankPage.module.css';
import { intoGroup, itemMoved, withItem, withoutItem } from './syllabus';

type Props = {
  rank: Rank;
  group: SyllabusGroup;
  item: Item;
  name: string;
  map: MapIndex;
  /** Keeps the changed groups and says so; `like` is what the next one that is added takes from it. */
  onSave: (groups: SyllabusGroup[], says: string, like?: Item) => void;
  /** The other ranks of the ladder, and taking items there. */
  others: Rank[];
  onMove: Move;
};

/** Takes some items to another rank. */
export type Move = (ids: string[], to: Rank, says: string) => void;

export const STANDARDS = ['INTRODUCED', 'DRILLED', 'SHOWN', 'MOVING', 'LIVE'].map((value) => ({
  value,
  label: plain(value),
}));

const SIDES = [
  { value: 'EITHER', label: 'Either side' },
  { value: 'BOTH', label: 'Both sides' },
  { value: 'RIGHT', label: 'Right' },
  { value: 'LEFT', label: 'Left' },
];

const ROLES = [
  { value: 'PERFORMER', label: 'Does it' },
  { value: 'RECEIVER', label: 'Receives it' },
];

/** Kinds that count something, and in what. */
const COUNTED: Partial<Record<Item['kind'], string>> = {
  LIVE_ROUNDS: ' rounds',
  HELPING_HOURS: ' hours',
  POSITION_GOAL: ' s',
};

/** What a rank asks of one thing, changed where it stands; each change is kept at once and has its undo. */
export function ItemEditor({ rank, group, item, name, map, onSave, others, onMove }: Props) {
  const technique = techniqueOf(item, map);
  const change = (part: Partial<Item>, says: string) =>
    onSave(withItem(rank.syllabus, item.id, part), `${name}: ${says}.`, { ...item, ...part });
  const select = <K extends keyof Item>(
    label: string,
    field: K,
    data: { value: string; label: string }[],
    says: (label: string) => string,
  ) => (
    <Select
      label={label}
      size="sm"
      allowDeselect={false}
      data={data}
      value={(item[field] as string | null) ?? ''}
      onChange={(value, option) =>
        value !== null &&
        value !== item[field] &&
        change(
          { [field]: value === '' ? null : value } as Partial<Item>,
          says((option?.label ?? value).toLowerCase()),
        )
      }
    />
  );
  const versions = technique?.versions ?? [];
  const counted = COUNTED[item.kind];
  return (
    <fieldset className={classes.editor} aria-label={`What is asked of ${name}`}>
      {select('Standard', 'standard', STANDARDS, (label) => label)}
      {technique?.sided && select('Sides', 'sides', SIDES, (label) => label)}
      {item.kind === 'TECHNIQUE' && select('As', 'role', ROLES, (label) => `the student ${label}`)}
      {versions.length > 0 &&
        select(
          'Version',
          'version',
          [{ value: '', label: 'Any' }, ...versions.map((one) => ({ value: one.id, label: one.name }))],
          (label) => `version ${label}`,
        )}
      {rank.stripes > 0 && (
        <NumberInput
          label="From stripe"
          size="sm"
          min={0}
          max={rank.stripes}
          value={item.stripe}
          onChange={(stripe) =>
            Number(stripe) !== item.stripe && change({ stripe: Number(stripe) }, `from stripe ${stripe}`)
          }
        />
      )}
      {counted && (
        <NumberInput
          label="How many"
          size="sm"
          suffix={counted}
          min={0}
          max={10000}
          value={item.count}
          onChange={(count) =>
            Number(count) !== item.count && change({ count: Number(count) }, `${count}${counted}`)
          }
        />
      )}
      {rank.syllabus.length > 1 && (
        <Select
          label="Group"
          size="sm"
          allowDeselect={false}
          data={rank.syllabus.map((one) => one.name)}
          value={group.name}
          onChange={(to) =>
            to &&
            to !== group.name &&
            onSave(intoGroup(rank.syllabus, item.id, to), `${name} moved to ${to}.`, item)
          }
        />
      )}
      <ToRank others={others} onTake={(to) => onMove([item.id], to, `${name} moved to ${to.name}.`)} />
      <div className={classes.acts}>
        {([-1, 1] as const).map((step) => (
          <Button
            key={step}
            size="compact-md"
            variant="default"
            disabled={group.items.at(step < 0 ? 0 : -1)?.id === item.id}
            onClick={() =>
              onSave(
                itemMoved(rank.syllabus, item.id, step),
                `${name} stands ${step < 0 ? 'earlier' : 'later'}.`,
              )
            }
          >
            {step < 0 ? '↑ earlier' : '↓ later'}
          </Button>
        ))}
        <Button
          size="compact-md"
          variant="subtle"
          color="rowan"
          onClick={() => onSave(withoutItem(rank.syllabus, item.id), `${name} taken out of ${rank.name}.`)}
        >
          Take out
        </Button>
      </div>
    </fieldset>
  );
}

type ToRankProps = { others: Rank[]; disabled?: boolean; onTake: (rank: Rank) => void };

/** To which other rank of the ladder something goes. */
export function ToRank({ others, disabled, onTake }: ToRankProps) {
  if (others.length === 0) return null;
  return (
    <Taking
      label="To the rank"
      size="sm"
      disabled={disabled}
      data={others.map((one) => ({ value: one.id, label: one.name }))}
      onTake={(id) => {
        const to = others.find((one) => one.id === id);
        if (to) onTake(to);
      }}
    />
  );
}

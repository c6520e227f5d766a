import { Button, NumberInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { MapIndex } from '../api/map';
import type { Item, LadderView, Rank, SyllabusGroup } from '../api/types';
import { linkOptions, positionOptions } from '../form/pickers';
import { Taking } from '../form/Taking';
import { count } from '../ui/words';
import { itemsOf } from './families';
import classes from './RankPage.module.css';
import { copied, fresh, type Like } from './syllabus';

type Props = {
  map: MapIndex;
  view: LadderView;
  views: LadderView[];
  rank: Rank;
  like: Like;
  onAdd: (items: Item[], done: string, like: Like) => void;
  onSave: (groups: SyllabusGroup[], says: string) => void;
};

type Kind = 'COUNTER' | 'WORDS' | 'FORM' | 'POSITION_GOAL' | 'LIVE_ROUNDS' | 'HELPING_HOURS';

/** What a rank may ask besides techniques and chains, and what is said of each. */
const KINDS: { value: Kind; label: string; words: string | null; counts: string | null }[] = [
  { value: 'COUNTER', label: 'An answer to an attack', words: null, counts: null },
  { value: 'WORDS', label: 'Words to know', words: 'Which words', counts: null },
  { value: 'FORM', label: 'A form', words: 'Which form', counts: null },
  { value: 'POSITION_GOAL', label: 'A goal in a position', words: 'What is to be done there', counts: ' s' },
  { value: 'LIVE_ROUNDS', label: 'Live rounds', words: 'With whom, or how', counts: ' rounds' },
  { value: 'HELPING_HOURS', label: 'Helping', words: 'With what', counts: ' hours' },
];

/** Everything else that a rank may ask, and what another rank asks. */
export function AddOther({ map, view, views, rank, like, onAdd, onSave }: Props) {
  const [kind, setKind] = useState<Kind | null>(null);
  const taken = new Set(view.ladder.ranks.flatMap(itemsOf).flatMap((item) => item.ref ?? []));
  const others = views.flatMap(({ ladder }) =>
    ladder.ranks
      .filter((one) => one.id !== rank.id && itemsOf(one).length > 0)
      .map((one) => ({ ladder, one })),
  );
  const copy = (value: string) => {
    const from = others.find(({ ladder, one }) => `${ladder.id} ${one.id}` === value)?.one;
    if (!from) return;
    const groups = copied(rank, from, taken);
    const items = groups.flatMap((group) => group.items).length;
    onSave(
      [...rank.syllabus, ...groups],
      items === 0
        ? `All of ${from.name} is asked already.`
        : `${count(items, 'item', 'items')} of ${from.name} copied.`,
    );
  };
  return (
    <>
      <div className={classes.acts}>
        <Select
          aria-label="Add something else"
          placeholder="Add words, a goal, rounds …"
          data={KINDS.map(({ value, label }) => ({ value, label }))}
          value={kind}
          onChange={(chosen) => setKind(chosen as Kind | null)}
        />
        {others.length > 0 && (
          <Taking
            aria-label="Copy what another rank asks"
            placeholder="Copy another rank"
            searchable
            data={others.map(({ ladder, one }) => ({
              value: `${ladder.id} ${one.id}`,
              label: `${one.name}, ${ladder.name}`,
            }))}
            onTake={copy}
          />
        )}
      </div>
      {kind && (
        <Other
          key={kind}
          {...{ kind, map, rank, like }}
          onAdd={(item, says) => {
            onAdd([item], says, like);
            setKind(null);
          }}
          onCancel={() => setKind(null)}
        />
      )}
    </>
  );
}

type OtherProps = {
  kind: Kind;
  map: MapIndex;
  rank: Rank;
  like: Like;
  onAdd: (item: Item, says: string) => void;
  onCancel: () => void;
};

function Other({ kind, map, rank, like, onAdd, onCancel }: OtherProps) {
  const said = KINDS.find((one) => one.value === kind);
  const [ref, setRef] = useState<string | null>(null);
  const [words, setWords] = useState('');
  const [number, setNumber] = useState(0);
  const isOnMap = kind === 'COUNTER' || kind === 'POSITION_GOAL';
  const isThere = isOnMap ? ref !== null : words.trim() !== '';
  return (
    <form
      className={classes.editor}
      aria-label={said?.label}
      onSubmit={(event) => {
        event.preventDefault();
        if (isThere)
          onAdd(
            fresh(rank, {
              kind,
              ref,
              words: words.trim() || null,
              count: number,
              standard: like.standard,
              stripe: like.stripe,
            }),
            `${said?.label} is asked for ${rank.name}.`,
          );
      }}
    >
      {kind === 'COUNTER' && (
        <Select
          label="Which"
          searchable
          limit={60}
          data={linkOptions(map)}
          value={ref}
          onChange={(chosen) => setRef(chosen)}
        />
      )}
      {kind === 'POSITION_GOAL' && (
        <Select
          label="Where"
          searchable
          limit={60}
          data={positionOptions(map)}
          value={ref}
          onChange={(chosen) => setRef(chosen)}
        />
      )}
      {said?.words && (
        <TextInput
          label={said.words}
          maxLength={200}
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
      )}
      {said?.counts && (
        <NumberInput
          label="How many"
          suffix={said.counts}
          min={0}
          max={10000}
          value={number}
          onChange={(value) => setNumber(Number(value) || 0)}
        />
      )}
      <div className={classes.acts}>
        <Button type="submit" disabled={!isThere}>
          Add it
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

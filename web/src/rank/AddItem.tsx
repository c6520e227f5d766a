import type { MapIndex } from '../api/map';
import type { ChainView, Item, Ladder, Rank } from '../api/types';
import { Taking } from '../form/Taking';
import { itemsOf } from './families';
import { fresh, type Like } from './syllabus';

type Props = {
  map: MapIndex;
  chains: ChainView[];
  rank: Rank;
  ladder: Ladder;
  /** What the next one takes from the last one. */
  like: Like;
  onAdd: (items: Item[], done: string, like: Like) => void;
};

/** Puts a technique or a chain into the rank: type, choose, it is in. */
export function AddItem({ map, chains, rank, ladder, like, onAdd }: Props) {
  const taken = new Set(ladder.ranks.flatMap(itemsOf).map((item) => item.ref));
  const options = [
    {
      group: 'Chains',
      items: chains
        .filter(({ chain }) => !taken.has(chain.id))
        .map(({ chain }) => ({ value: `CHAIN:${chain.id}`, label: chain.name })),
    },
    {
      group: 'Techniques',
      items: map.data.techniques
        .filter((t) => !taken.has(t.id) && !t.retired)
        .map((t) => ({ value: `TECHNIQUE:${t.id}`, label: t.name })),
    },
  ];
  const add = (value: string) => {
    const [kind, ref] = value.split(':') as ['CHAIN' | 'TECHNIQUE', string];
    const label = options.flatMap((o) => o.items).find((o) => o.value === value)?.label ?? ref;
    onAdd(
      [
        fresh(rank, {
          kind,
          ref,
          standard: like.standard,
          sides: kind === 'TECHNIQUE' && map.technique.get(ref)?.sided ? 'BOTH' : 'EITHER',
          stripe: like.stripe,
        }),
      ],
      `${label} added to ${rank.name}.`,
      like,
    );
  };
  return (
    <Taking
      aria-label={`Add to ${rank.name}`}
      placeholder="Add a chain or technique"
      searchable
      data={options}
      onTake={add}
      w={240}
    />
  );
}

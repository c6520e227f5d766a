import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { type MapIndex, useMapPart } from '../../api/queries';
import type { Reaction } from '../../api/types';
import { Loaded } from '../../ui/States';
import { plain } from '../../ui/words';
import { blankReaction } from './blanks';
import { EditForm } from './EditForm';
import { freeId } from './fields';
import { linkOptions, positionOptions } from './pickers';

type Props = {
  map: MapIndex;
  /** The reaction to change; null: a new one. */
  reaction: string | null;
  /** The position in which the new one happens. */
  at: string;
  onDone: () => void;
  onCancel: () => void;
};

/** What the partner does about it, and where that leaves me. */
export function ReactionForm(props: Props) {
  const kept = useMapPart<Reaction>('reactions', props.reaction);
  if (props.reaction === null)
    return <Form {...props} opened={{ value: blankReaction({ position: props.at }), tag: null }} />;
  return <Loaded query={kept}>{(opened) => <Form {...props} opened={opened} />}</Loaded>;
}

const PHASES = ['GRIP', 'ENTRY', 'LOADED', 'LATE', 'LANDED'];
const MANNERS = [
  'TURNS_IN',
  'TURNS_AWAY',
  'POSTS',
  'HIPS_BACK',
  'STANDS',
  'DRIVES',
  'STIFF_ARMS',
  'HIDES_LIMB',
  'STEPS_OVER',
  'STEPS_OUT',
  'GRIPS',
  'OTHER',
];
const none = null as unknown as string;
const words = (codes: string[]) => codes.map((c) => ({ value: c, label: plain(c) }));

function Form({
  map,
  at,
  opened,
  onDone,
  onCancel,
}: Props & { opened: { value: Reaction; tag: string | null } }) {
  const [{ reaction, tag }, set] = useState({ reaction: opened.value, tag: opened.tag });
  const change = (next: Partial<Reaction>) => set({ tag, reaction: { ...reaction, ...next } });
  const isNew = tag === null;
  const here = reaction.position ?? map.link.get(reaction.link)?.from ?? at;
  const draws = map.data.links.filter((l) => l.from === here && !l.retired);
  const technique = map.technique.get(map.link.get(reaction.link)?.technique ?? '');
  const draft = isNew
    ? { ...reaction, id: freeId(`${here}-${reaction.text}`, (id) => map.reaction.has(id)) }
    : reaction;
  return (
    <EditForm
      title={isNew ? 'What they may do' : `Change: ${reaction.text}`}
      place="reactions"
      draft={draft}
      tag={tag}
      done="The reaction is saved."
      retired="The reaction is retired."
      onTheirs={(theirs, theirTag) => set({ reaction: theirs, tag: theirTag })}
      onDone={onDone}
      onCancel={onCancel}
    >
      <TextInput
        label="In words, beginning with they"
        placeholder="they post the far hand"
        value={reaction.text}
        onChange={(event) => change({ text: event.currentTarget.value })}
      />
      <Select
        label="In answer to"
        data={[
          { value: '', label: 'Nothing; it just happens here' },
          ...draws.map((l) => ({ value: l.id, label: map.technique.get(l.technique)?.name ?? l.id })),
        ]}
        value={reaction.link ?? ''}
        allowDeselect={false}
        onChange={(value) => change(value ? { link: value, position: none } : { link: none, position: here })}
      />
      <Select
        label="Leaves me at"
        searchable
        data={positionOptions(map)}
        value={reaction.leaves || null}
        onChange={(value) => change({ leaves: value ?? '' })}
      />
      <Select
        label="Manner"
        data={words(MANNERS)}
        value={reaction.manner}
        allowDeselect={false}
        onChange={(value) => change({ manner: value as Reaction['manner'] })}
      />
      <Select
        label="When in the attempt"
        data={words(PHASES)}
        value={reaction.phase}
        allowDeselect={false}
        onChange={(value) => change({ phase: value as Reaction['phase'] })}
      />
      <Select
        label="It is itself an attack of theirs"
        placeholder="No"
        clearable
        searchable
        limit={40}
        data={linkOptions(map)}
        value={reaction.attack}
        onChange={(value) => change({ attack: value ?? none })}
      />
      {technique && technique.faults.length > 0 && (
        <Select
          label="A fault that invites it"
          placeholder="None"
          clearable
          data={technique.faults.map((f) => ({ value: f.id, label: f.see }))}
          value={reaction.fault}
          onChange={(value) => change({ fault: value ?? none })}
        />
      )}
    </EditForm>
  );
}

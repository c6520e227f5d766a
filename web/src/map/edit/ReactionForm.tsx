import { Select, TextInput } from '@mantine/core';
import { type MapIndex, useMapPart } from '../../api/map';
import type { Reaction } from '../../api/types';
import { blankReaction } from '../../form/blanks';
import { EditForm } from '../../form/EditForm';
import { freeId } from '../../form/fields';
import { needed } from '../../form/limits';
import { linkOptions, positionOptions } from '../../form/pickers';
import { type Opened, useDraft } from '../../form/useDraft';
import { Loaded } from '../../ui/States';
import { plain } from '../../ui/words';

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

const wrong = (reaction: Reaction) =>
  needed(reaction, { text: 'Say what they do.', leaves: 'Where does it leave me?' });

const words = (codes: string[]) => codes.map((c) => ({ value: c, label: plain(c) }));

function Form({ map, at, opened, onDone, onCancel }: Props & { opened: Opened<Reaction> }) {
  const draft = useDraft(opened, 'Reaction', wrong);
  const { value: reaction, isNew, change, error } = draft;
  const answered = map.link.get(reaction.link ?? '');
  const here = reaction.position ?? answered?.from ?? at;
  const draws = map.data.links.filter((l) => l.from === here && !l.retired);
  const technique = map.technique.get(answered?.technique ?? '');
  const body = isNew
    ? { ...reaction, id: freeId(`${here}-${reaction.text}`, (id) => map.reaction.has(id)) }
    : reaction;
  return (
    <EditForm
      title={isNew ? 'What they may do' : `Change: ${reaction.text}`}
      place="reactions"
      draft={draft}
      body={body}
      done="The reaction is saved."
      retired="The reaction is retired."
      onDone={onDone}
      onCancel={onCancel}
    >
      <TextInput
        label="In words, beginning with they"
        placeholder="they post the far hand"
        error={error('text')}
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
        onChange={(value) => change(value ? { link: value, position: null } : { link: null, position: here })}
      />
      <Select
        label="Leaves me at"
        searchable
        data={positionOptions(map)}
        error={error('leaves')}
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
        onChange={(value) => change({ attack: value })}
      />
      {technique && technique.faults.length > 0 && (
        <Select
          label="A fault that invites it"
          placeholder="None"
          clearable
          data={technique.faults.map((f) => ({ value: f.id, label: f.see }))}
          value={reaction.fault}
          onChange={(value) => change({ fault: value })}
        />
      )}
    </EditForm>
  );
}

import { Checkbox, MultiSelect, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { readTagged } from '../../api/client';
import type { MapIndex } from '../../api/queries';
import type { Technique, TechniqueCard } from '../../api/types';
import { FAMILIES, plain } from '../../ui/words';
import { EditForm } from '../edit/EditForm';
import { freeId } from '../edit/fields';
import { Rows, Texts } from '../edit/Lists';
import { techniqueOptions } from '../edit/pickers';
import { FaultRows, StepRows } from './CardRows';
import { DIRECTIONS, GROUPS, HAZARDS } from './codes';
import classes from './TechniquePage.module.css';
import { VersionRows } from './VersionRows';

type Props = {
  map: MapIndex;
  technique: Technique;
  tag: string | null;
  onDone: (id: string) => void;
  onCancel: () => void;
};

const none = null as unknown as string;
const coded = (codes: readonly string[]) => codes.map((c) => ({ value: c, label: plain(c) }));

/** The card as a form in the same order as it is read. */
export function CardForm({ map, technique, tag: openedTag, onDone, onCancel }: Props) {
  const [{ card, tag }, set] = useState({ card: technique, tag: openedTag });
  const change = (next: Partial<Technique>) => set({ tag, card: { ...card, ...next } });
  const isNew = tag === null;
  const draft = isNew ? { ...card, id: freeId(card.name, (id) => map.technique.has(id)) } : card;
  /** A new name keeps the old one, so that it is still found. */
  const rename = () => {
    const old = technique.name;
    if (old && old !== card.name && !card.aliases.some((a) => a.text === old))
      change({ aliases: [...card.aliases, { text: old, tongue: 'plain' }] });
  };
  const current = async () => {
    const { value, tag: now } = await readTagged<TechniqueCard>(`/map/techniques/${card.id}`);
    return { value: value.technique, tag: now };
  };
  const techniques = techniqueOptions(map) as { value: string; label: string }[];
  const falls = techniques.filter((t) => map.technique.get(t.value)?.family === 'BREAKFALL');
  return (
    <div className={classes.form}>
      <EditForm
        title={isNew ? 'A new technique' : `Change ${technique.name}`}
        place="techniques"
        draft={draft}
        tag={tag}
        done={`${card.name} saved.`}
        retired={`${card.name} retired.`}
        current={current}
        onTheirs={(theirs, theirTag) => set({ card: theirs, tag: theirTag })}
        onDone={() => onDone(draft.id)}
        onCancel={onCancel}
      >
        <div className={classes.columns}>
          <div>
            <TextInput
              label="Name"
              value={card.name}
              onBlur={rename}
              onChange={(event) => change({ name: event.currentTarget.value })}
            />
            <Rows
              label="Other names"
              rows={card.aliases}
              blank={() => ({ text: '', tongue: 'plain' })}
              onChange={(aliases) => change({ aliases })}
              add="Add a name"
            >
              {(alias, put, n) => (
                <>
                  <TextInput
                    aria-label={`Other name ${n + 1}`}
                    value={alias.text}
                    onChange={(event) => put({ ...alias, text: event.currentTarget.value })}
                  />
                  <Select
                    aria-label={`Tongue of name ${n + 1}`}
                    data={['plain', 'Japanese', 'wrestling']}
                    value={alias.tongue}
                    allowDeselect={false}
                    onChange={(value) => value && put({ ...alias, tongue: value })}
                  />
                </>
              )}
            </Rows>
            <Textarea
              label="In a sentence"
              autosize
              value={card.summary}
              onChange={(event) => change({ summary: event.currentTarget.value })}
            />
            <Select
              label="Family"
              data={coded(FAMILIES)}
              value={card.family}
              allowDeselect={false}
              onChange={(value) =>
                change({ family: value as Technique['family'], group: null as unknown as Technique['group'] })
              }
            />
            {GROUPS[card.family] && (
              <Select
                label="Group"
                clearable
                data={coded(GROUPS[card.family] ?? [])}
                value={card.group}
                onChange={(value) => change({ group: value as Technique['group'] })}
              />
            )}
            <Select
              label="Jacket"
              data={coded(['EITHER', 'JACKET', 'NO_JACKET'])}
              value={card.jacket}
              allowDeselect={false}
              onChange={(value) => change({ jacket: value as Technique['jacket'] })}
            />
            <Checkbox
              label="It has a right and a left side"
              checked={card.sided}
              onChange={(event) => change({ sided: event.currentTarget.checked })}
            />
            <NumberInput
              label="Learn, 1 to 5"
              min={1}
              max={5}
              value={card.learn}
              onChange={(value) => change({ learn: Number(value) })}
            />
            <NumberInput
              label="Master, 1 to 5"
              min={1}
              max={5}
              value={card.master}
              onChange={(value) => change({ master: Number(value) })}
            />
            <MultiSelect
              label="Off balance, seen from the receiver"
              data={coded(DIRECTIONS)}
              value={card.directions}
              onChange={(value) => change({ directions: value as Technique['directions'] })}
            />
            <MultiSelect
              label="Hazards"
              description="The cautions on the card come from these"
              searchable
              data={coded(HAZARDS)}
              value={card.hazards}
              onChange={(value) => change({ hazards: value as Technique['hazards'] })}
            />
            <MultiSelect
              label="Falls the receiver needs"
              searchable
              data={falls}
              value={card.receiverFalls}
              onChange={(receiverFalls) => change({ receiverFalls })}
            />
            <MultiSelect
              label="Builds on"
              searchable
              data={techniques}
              value={card.prerequisites}
              onChange={(prerequisites) => change({ prerequisites })}
            />
            <MultiSelect
              label="Carries over to"
              searchable
              data={techniques}
              value={card.carriesOverTo}
              onChange={(carriesOverTo) => change({ carriesOverTo })}
            />
            <Textarea
              label="Alone"
              autosize
              value={card.soloForm ?? ''}
              onChange={(event) => change({ soloForm: event.currentTarget.value || none })}
            />
            <Texts label="Tags" texts={card.tags} onChange={(tags) => change({ tags })} />
          </div>
          <div>
            <StepRows label="Steps" steps={card.steps} onChange={(steps) => change({ steps })} />
            <Texts label="It was right when" texts={card.signs} onChange={(signs) => change({ signs })} />
            <FaultRows
              map={map}
              label="Faults"
              faults={card.faults}
              onChange={(faults) => change({ faults })}
            />
            <VersionRows map={map} card={card} onChange={change} />
          </div>
        </div>
      </EditForm>
    </div>
  );
}

import { Checkbox, MultiSelect, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { readTagged } from '../../api/client';
import type { MapIndex } from '../../api/map';
import type { Technique } from '../../api/types';
import { EditForm } from '../../form/EditForm';
import { freeId } from '../../form/fields';
import { Rows, Texts } from '../../form/Lists';
import { lacking, needed, unsaid } from '../../form/limits';
import { techniqueOptions } from '../../form/pickers';
import { useDraft } from '../../form/useDraft';
import { FAMILIES, plain } from '../../ui/words';
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

const SAY = 'Say it, or take the line out.';

const wrongLists = (at: string, of: Pick<Technique, 'steps' | 'faults'>) => ({
  ...lacking(`${at}steps`, of.steps, { text: SAY }),
  ...lacking(`${at}faults`, of.faults, {
    see: 'What does the coach see?',
    because: 'Why does it fail?',
    fix: 'What puts it right?',
  }),
});

const wrong = (card: Technique) => ({
  ...needed(card, { name: 'What is it called?' }),
  ...lacking('aliases', card.aliases, { text: SAY }),
  ...lacking('versions', card.versions, { name: 'What is this way called?' }),
  ...wrongLists('', card),
  ...Object.assign({}, ...card.versions.map((version, n) => wrongLists(`versions.${n}.`, version))),
  ...unsaid('signs', card.signs),
  ...unsaid('tags', card.tags),
  ...(card.learn >= 1 && card.learn <= 5 ? {} : { learn: 'From 1 to 5.' }),
  ...(card.master >= 1 && card.master <= 5 ? {} : { master: 'From 1 to 5.' }),
});

const coded = (codes: readonly string[]) => codes.map((c) => ({ value: c, label: plain(c) }));

/** The card as a form in the same order as it is read. */
export function CardForm({ map, technique, tag: openedTag, onDone, onCancel }: Props) {
  const draft = useDraft({ value: technique, tag: openedTag }, 'Technique', wrong);
  const { value: card, isNew, change, error } = draft;
  const body = isNew ? { ...card, id: freeId(card.name, (id) => map.technique.has(id)) } : card;
  /** A new name keeps the old one, so that it is still found. */
  const rename = () => {
    const old = technique.name;
    if (old && old !== card.name && !card.aliases.some((a) => a.text === old))
      change({ aliases: [...card.aliases, { text: old, tongue: 'plain' }] });
  };
  const current = async () => {
    const { value, tag: now } = await readTagged(`/map/techniques/${card.id}`);
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
        body={body}
        done={`${card.name} saved.`}
        retired={`${card.name} retired.`}
        current={current}
        onDone={() => onDone(body.id)}
        onCancel={onCancel}
      >
        <div className={classes.columns}>
          <div>
            <TextInput
              label="Name"
              error={error('name')}
              value={card.name}
              onBlur={rename}
              onChange={(event) => change({ name: event.currentTarget.value })}
            />
            <Rows
              label="Other names"
              at="aliases"
              rows={card.aliases}
              blank={() => ({ text: '', tongue: 'plain' })}
              onChange={(aliases) => change({ aliases })}
              add="Add a name"
            >
              {(alias, put, n) => (
                <>
                  <TextInput
                    aria-label={`Other name ${n + 1}`}
                    error={error(`aliases.${n}.text`)}
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
              error={error('summary')}
              value={card.summary}
              onChange={(event) => change({ summary: event.currentTarget.value })}
            />
            <Select
              label="Family"
              data={coded(FAMILIES)}
              value={card.family}
              allowDeselect={false}
              onChange={(value) => change({ family: value as Technique['family'], group: null })}
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
              error={error('learn')}
              value={card.learn}
              onChange={(value) => change({ learn: Number(value) })}
            />
            <NumberInput
              label="Master, 1 to 5"
              min={1}
              max={5}
              error={error('master')}
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
              error={error('soloForm')}
              value={card.soloForm ?? ''}
              onChange={(event) => change({ soloForm: event.currentTarget.value || null })}
            />
            <Texts label="Tags" at="tags" texts={card.tags} onChange={(tags) => change({ tags })} />
          </div>
          <div>
            <StepRows label="Steps" at="steps" steps={card.steps} onChange={(steps) => change({ steps })} />
            <Texts
              label="It was right when"
              add="Add a sign"
              at="signs"
              texts={card.signs}
              onChange={(signs) => change({ signs })}
            />
            <FaultRows
              map={map}
              label="Faults"
              at="faults"
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

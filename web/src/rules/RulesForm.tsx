import { Select, Textarea, TextInput } from '@mantine/core';
import { useNumbers } from '../api/club';
import type { MapIndex } from '../api/map';
import type { Ruleset } from '../api/types';
import { EditForm } from '../form/EditForm';
import { freeId } from '../form/fields';
import { Texts } from '../form/Lists';
import { positionOptions, techniqueOptions } from '../form/pickers';
import { type Opened, useDraft } from '../form/useDraft';
import classes from './Rules.module.css';
import { Legal, Scores, Throws, Whole } from './RulesFields';
import { wrongRules } from './rules';
import { WhatChanges } from './WhatChanges';

type Props = {
  map: MapIndex;
  opened: Opened<Ruleset>;
  /** Id of the rules that these are compared with; null: they are made from nothing. */
  like: string | null;
  onDone: () => void;
};

/** Rules of a bout by hand: what is legal, what scores, what ends it; beside it what that changes. */
export function RulesForm({ map, opened, like, onDone }: Props) {
  const draft = useDraft(opened, 'Ruleset', wrongRules);
  const { value: rules, isNew, change, error } = draft;
  const body = {
    ...rules,
    name: rules.name.trim(),
    id: rules.id || freeId(rules.name, (id) => map.data.rulesets.some((one) => one.id === id)),
  };
  const from = map.data.rulesets.find((one) => one.id === like)?.name;
  const known = useNumbers().data?.value.hazards.map((one) => one.hazard) ?? [];
  const hazards = [...new Set([...known, ...opened.value.illegalHazards.map((one) => one.hazard)])];
  const fields = { rules, change, error, positions: positionOptions(map) };
  return (
    <div className={classes.columns}>
      <EditForm
        title={isNew ? 'New rules' : `Change ${opened.value.name}`}
        place="rulesets"
        draft={draft}
        body={body}
        done={isNew ? `${body.name} are there.` : `${body.name} are saved.`}
        onDone={onDone}
        onCancel={onDone}
        retired={isNew ? undefined : `${body.name} are taken out.`}
        retire="Take out"
      >
        <div className={classes.row}>
          <TextInput
            label="Name"
            error={error('name')}
            value={rules.name}
            onChange={(event) => change({ name: event.currentTarget.value })}
          />
          <Select
            label="Worn"
            allowDeselect={false}
            data={[
              { value: 'EITHER', label: 'Jacket or none' },
              { value: 'JACKET', label: 'A jacket' },
              { value: 'NO_JACKET', label: 'No jacket' },
            ]}
            value={rules.jacket}
            onChange={(jacket) => change({ jacket: jacket as Ruleset['jacket'] })}
          />
          <Whole
            label="A bout takes"
            suffix=" min"
            min={1}
            max={60}
            value={rules.minutes}
            onChange={(minutes) => change({ minutes })}
            error={error('minutes')}
          />
        </div>
        <Legal {...fields} hazards={hazards} techniques={techniqueOptions(map)} />
        <Throws {...fields} />
        <Scores {...fields} />
        <Texts
          label="Penalties"
          at="penalties"
          texts={rules.penalties}
          onChange={(penalties) => change({ penalties })}
          add="Add a penalty"
        />
        <Textarea
          label="Note"
          autosize
          minRows={1}
          maxLength={400}
          error={error('note')}
          value={rules.note ?? ''}
          onChange={(event) => change({ note: event.currentTarget.value || null })}
        />
      </EditForm>
      {like && from && <WhatChanges rules={rules} like={like} from={from} />}
    </div>
  );
}

import { Checkbox, MultiSelect, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { useNumbers } from '../api/club';
import type { MapIndex } from '../api/map';
import type { Ruleset } from '../api/types';
import { EditForm } from '../form/EditForm';
import { freeId } from '../form/fields';
import { Rows, Texts } from '../form/Lists';
import { positionOptions, techniqueOptions } from '../form/pickers';
import { type Opened, useDraft } from '../form/useDraft';
import { FAMILIES, plain, STAGES } from '../ui/words';
import classes from './Rules.module.css';
import { limited, limitOf, wrongRules } from './rules';
import { WhatChanges } from './WhatChanges';

type Props = {
  map: MapIndex;
  opened: Opened<Ruleset>;
  /** Id of the rules that these are compared with; null: they are made from nothing. */
  like: string | null;
  onDone: () => void;
};

type Option = { value: string; label: string };

const ANYWHERE = 'ANY';

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
  const positions = positionOptions(map) as Option[];
  const known = useNumbers().data?.value.hazards.map((one) => one.hazard) ?? [];
  const hazards = [...new Set([...known, ...opened.value.illegalHazards.map((one) => one.hazard)])];
  const several = (label: string, value: string[], put: (ids: string[]) => void, description?: string) => (
    <MultiSelect
      label={label}
      description={description}
      searchable
      limit={80}
      hidePickedOptions
      data={positions}
      value={value}
      onChange={put}
    />
  );
  const number = (
    label: string,
    value: number,
    put: (value: number) => void,
    rest: { suffix?: string; max?: number; min?: number; error?: string } = {},
  ) => (
    <NumberInput
      label={label}
      min={0}
      max={100}
      value={value}
      onChange={(typed) => put(Number(typed) || 0)}
      {...rest}
    />
  );
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
          {number('A bout takes', rules.minutes, (minutes) => change({ minutes }), {
            suffix: ' min',
            min: 1,
            max: 60,
            error: error('minutes'),
          })}
        </div>
        <fieldset className={classes.part}>
          <legend>What is legal</legend>
          <Checkbox
            label="No taking hold of legs"
            checked={rules.noLegGrabs}
            onChange={(event) => change({ noLegGrabs: event.currentTarget.checked })}
          />
          <div className={classes.dangers}>
            {hazards.map((hazard) => {
              const limit = limitOf(rules, hazard);
              return (
                <div key={hazard} className={classes.danger}>
                  <span>{plain(hazard)}</span>
                  <Select
                    aria-label={`${plain(hazard)} is`}
                    size="sm"
                    allowDeselect={false}
                    data={[
                      { value: 'LEGAL', label: 'legal' },
                      { value: 'AGE', label: 'from age' },
                      { value: 'NEVER', label: 'not legal' },
                    ]}
                    value={typeof limit === 'number' ? 'AGE' : limit}
                    onChange={(to) =>
                      change(limited(rules, hazard, to === 'AGE' ? 16 : (to as 'LEGAL' | 'NEVER')))
                    }
                  />
                  {typeof limit === 'number' && (
                    <NumberInput
                      aria-label={`${plain(hazard)} from which age`}
                      size="sm"
                      min={1}
                      max={99}
                      value={limit}
                      onChange={(age) => change(limited(rules, hazard, Math.max(1, Number(age) || 1)))}
                    />
                  )}
                </div>
              );
            })}
          </div>
          <MultiSelect
            label="Techniques that are not legal"
            searchable
            limit={80}
            hidePickedOptions
            data={techniqueOptions(map) as Option[]}
            value={rules.illegalTechniques}
            onChange={(illegalTechniques) => change({ illegalTechniques })}
          />
          {several('A bout starts at', rules.entries, (entries) => change({ entries }))}
        </fieldset>
        <fieldset className={classes.part}>
          <legend>Throws and takedowns</legend>
          <Checkbox
            label="A clean throw ends the bout"
            checked={rules.fullThrowEnds}
            onChange={(event) => change({ fullThrowEnds: event.currentTarget.checked })}
          />
          <div className={classes.row}>
            {!rules.fullThrowEnds &&
              number('A clean throw scores', rules.fullThrowPoints, (fullThrowPoints) =>
                change({ fullThrowPoints }),
              )}
            {number('Half a throw scores', rules.halfThrowPoints, (halfThrowPoints) =>
              change({ halfThrowPoints }),
            )}
          </div>
          <Checkbox
            label="It counts how they land"
            checked={rules.landings !== null}
            onChange={(event) =>
              change({ landings: event.currentTarget.checked ? { back: [], seat: [] } : null })
            }
          />
          {rules.landings && (
            <>
              {several('On the back: positions above them', rules.landings.back, (back) =>
                change({ landings: { back, seat: rules.landings?.seat ?? [] } }),
              )}
              {several('On the seat or side', rules.landings.seat, (seat) =>
                change({ landings: { back: rules.landings?.back ?? [], seat } }),
              )}
            </>
          )}
        </fieldset>
        <Rows
          label="Points for what is done"
          rows={rules.points}
          onChange={(rows) => change({ points: rows })}
          blank={() => ({ family: 'SWEEP' as const, landing: null, points: 2, at: [] })}
          add="Add points"
        >
          {(row, put, n) => (
            <div className={classes.row}>
              <Select
                label="For a"
                allowDeselect={false}
                data={FAMILIES.map((family) => ({ value: family, label: plain(family) }))}
                value={row.family}
                onChange={(family) => put({ ...row, family: family as typeof row.family })}
              />
              <Select
                label="That lands"
                allowDeselect={false}
                data={[
                  { value: ANYWHERE, label: 'Anywhere' },
                  ...STAGES.map((stage) => ({ value: stage, label: plain(stage) })),
                ]}
                value={row.landing ?? ANYWHERE}
                onChange={(landing) =>
                  put({ ...row, landing: landing === ANYWHERE ? null : (landing as typeof row.landing) })
                }
              />
              {number('Points', row.points, (paid) => put({ ...row, points: paid }), {
                error: error(`points.${n}.points`),
              })}
              {several('Only at', row.at, (at) => put({ ...row, at }))}
            </div>
          )}
        </Rows>
        <Rows
          label="Points for reaching a position"
          rows={rules.reached}
          onChange={(rows) => change({ reached: rows })}
          blank={() => ({ positions: [], points: 2, onlyFrom: [], unlessFrom: [] })}
          add="Add positions"
        >
          {(row, put, n) => (
            <div className={classes.row}>
              <MultiSelect
                label="Reaching"
                searchable
                limit={80}
                error={error(`reached.${n}.positions`)}
                data={positions}
                value={row.positions}
                onChange={(to) => put({ ...row, positions: to })}
              />
              {number('Points', row.points, (paid) => put({ ...row, points: paid }))}
              {several('Only from', row.onlyFrom, (onlyFrom) => put({ ...row, onlyFrom }))}
              {several('But not from', row.unlessFrom, (unlessFrom) => put({ ...row, unlessFrom }))}
            </div>
          )}
        </Rows>
        <Rows
          label="Hold-downs"
          rows={rules.pins}
          onChange={(rows) => change({ pins: rows })}
          blank={() => ({ position: '', seconds: 20, points: 0 })}
          add="Add a hold-down"
        >
          {(row, put, n) => (
            <div className={classes.row}>
              <Select
                label="Held in"
                searchable
                limit={80}
                error={error(`pins.${n}.position`)}
                data={positions}
                value={row.position || null}
                onChange={(position) => put({ ...row, position: position ?? '' })}
              />
              {number('For', row.seconds, (seconds) => put({ ...row, seconds }), {
                suffix: ' s',
                max: 600,
                min: 1,
                error: error(`pins.${n}.seconds`),
              })}
              <NumberInput
                label="Scores"
                description="0: it ends the bout"
                min={0}
                max={100}
                value={row.points}
                onChange={(paid) => put({ ...row, points: Number(paid) || 0 })}
              />
            </div>
          )}
        </Rows>
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

import { Checkbox, type ComboboxData, MultiSelect, NumberInput, Select } from '@mantine/core';
import type { Ruleset } from '../api/types';
import { Rows } from '../form/Lists';
import { FAMILIES, plain, STAGES } from '../ui/words';
import classes from './Rules.module.css';
import { limited, limitOf } from './rules';

/** What each part of the form is given: the rules, how they change, and what is wrong where. */
export type RulesFieldsProps = {
  rules: Ruleset;
  change: (some: Partial<Ruleset>) => void;
  error: (field: string) => string | undefined;
  /** Positions of the map, to choose from. */
  positions: ComboboxData;
};

type SeveralProps = {
  label: string;
  data: ComboboxData;
  value: string[];
  onChange: (ids: string[]) => void;
  error?: string | undefined;
};

/** Some of many things of the map. */
const Several = (props: SeveralProps) => <MultiSelect searchable limit={80} hidePickedOptions {...props} />;

type WholeProps = {
  label: string;
  description?: string;
  value: number;
  onChange: (value: number) => void;
  suffix?: string;
  min?: number;
  max?: number;
  error?: string | undefined;
};

/** A whole number; what is left empty is none. */
export const Whole = ({ onChange, ...rest }: WholeProps) => (
  <NumberInput min={0} max={100} {...rest} onChange={(typed) => onChange(Number(typed) || 0)} />
);

type LegalProps = RulesFieldsProps & {
  hazards: Ruleset['illegalHazards'][number]['hazard'][];
  techniques: ComboboxData;
};

export function Legal({ rules, change, positions, hazards, techniques }: LegalProps) {
  return (
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
      <Several
        label="Techniques that are not legal"
        data={techniques}
        value={rules.illegalTechniques}
        onChange={(illegalTechniques) => change({ illegalTechniques })}
      />
      <Several
        label="A bout starts at"
        data={positions}
        value={rules.entries}
        onChange={(entries) => change({ entries })}
      />
    </fieldset>
  );
}

export function Throws({ rules, change, positions }: RulesFieldsProps) {
  const { landings } = rules;
  return (
    <fieldset className={classes.part}>
      <legend>Throws and takedowns</legend>
      <Checkbox
        label="A clean throw ends the bout"
        checked={rules.fullThrowEnds}
        onChange={(event) => change({ fullThrowEnds: event.currentTarget.checked })}
      />
      <div className={classes.row}>
        {!rules.fullThrowEnds && (
          <Whole
            label="A clean throw scores"
            value={rules.fullThrowPoints}
            onChange={(fullThrowPoints) => change({ fullThrowPoints })}
          />
        )}
        <Whole
          label="Half a throw scores"
          value={rules.halfThrowPoints}
          onChange={(halfThrowPoints) => change({ halfThrowPoints })}
        />
      </div>
      <Checkbox
        label="It counts how they land"
        checked={landings !== null}
        onChange={(event) =>
          change({ landings: event.currentTarget.checked ? { back: [], seat: [] } : null })
        }
      />
      {landings && (
        <>
          <Several
            label="On the back: positions above them"
            data={positions}
            value={landings.back}
            onChange={(back) => change({ landings: { ...landings, back } })}
          />
          <Several
            label="On the seat or side"
            data={positions}
            value={landings.seat}
            onChange={(seat) => change({ landings: { ...landings, seat } })}
          />
        </>
      )}
    </fieldset>
  );
}

const ANYWHERE = 'ANY';

/** What is paid for something done, for a position reached, and for one that is held. */
export function Scores({ rules, change, error, positions }: RulesFieldsProps) {
  return (
    <>
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
            <Whole
              label="Points"
              value={row.points}
              onChange={(points) => put({ ...row, points })}
              error={error(`points.${n}.points`)}
            />
            <Several label="Only at" data={positions} value={row.at} onChange={(at) => put({ ...row, at })} />
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
            <Several
              label="Reaching"
              error={error(`reached.${n}.positions`)}
              data={positions}
              value={row.positions}
              onChange={(to) => put({ ...row, positions: to })}
            />
            <Whole label="Points" value={row.points} onChange={(points) => put({ ...row, points })} />
            <Several
              label="Only from"
              data={positions}
              value={row.onlyFrom}
              onChange={(onlyFrom) => put({ ...row, onlyFrom })}
            />
            <Several
              label="But not from"
              data={positions}
              value={row.unlessFrom}
              onChange={(unlessFrom) => put({ ...row, unlessFrom })}
            />
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
            <Whole
              label="For"
              suffix=" s"
              min={1}
              max={600}
              value={row.seconds}
              onChange={(seconds) => put({ ...row, seconds })}
              error={error(`pins.${n}.seconds`)}
            />
            <Whole
              label="Scores"
              description="0: it ends the bout"
              value={row.points}
              onChange={(points) => put({ ...row, points })}
            />
          </div>
        )}
      </Rows>
    </>
  );
}

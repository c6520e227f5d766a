import { Checkbox, MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';
import { Link } from 'react-router';
import type { Ladder, Policy, Rank, Ruleset, Track } from '../api/types';
import { EditForm } from '../form/EditForm';
import { freeId } from '../form/fields';
import { Rows } from '../form/Lists';
import { type Errors, lacking, needed } from '../form/limits';
import { type Opened, useDraft } from '../form/useDraft';
import { Belt, COLOUR_NAMES } from '../ui/Belt';
import { nth } from '../ui/lists';
import classes from './LadderPage.module.css';
import { addsUp, blankLadder, nextRank, withIds } from './ladders';

type Props = {
  /** The ladder to change; null: a new one. */
  ladder: Ladder | null;
  tag: string | null;
  all: Ladder[];
  tracks: Track[];
  rulesets: Ruleset[];
  current: () => Promise<Opened<Ladder> & { tag: string }>;
  onDone: (kept: Ladder | null) => void;
  onCancel: () => void;
};

const STRIPES: { value: Policy['stripes']; label: string }[] = [
  { value: 'BY_CLASSES', label: 'After so many classes' },
  { value: 'BY_COACH', label: 'When the coach gives them' },
  { value: 'NONE', label: 'None' },
];

const BELTS: { value: Policy['belt']; label: string }[] = [
  { value: 'BY_COACH', label: 'By the coach' },
  { value: 'BY_EXAM', label: 'By exam' },
];

const COLOURS = COLOUR_NAMES.map((value) => ({
  value,
  label: value.charAt(0).toUpperCase() + value.slice(1),
}));

const wrong = (ladder: Ladder): Errors => ({
  ...needed(ladder, { name: 'What is it called?' }),
  ...lacking('ranks', ladder.ranks, { name: 'What is this rank called?' }),
  ...(ladder.toAge > 0 && ladder.toAge < ladder.fromAge ? { toAge: 'It ends before it begins.' } : {}),
  ...(ladder.ranks.length === 0 ? { ranks: 'A ladder has a rank at least, where everybody begins.' } : {}),
});

/** A ladder: for whom it is, what counts on it, and its belts from the lowest up. Syllabuses are opened rank by rank. */
export function LadderForm({ ladder, tag, all, tracks, rulesets, current, onDone, onCancel }: Props) {
  const draft = useDraft({ value: ladder ?? blankLadder(), tag }, 'Ladder', wrong);
  const { value, isNew, change, error } = draft;
  const { policy } = value;
  const under = (next: Partial<Policy>) => change({ policy: { ...policy, ...next } });
  const id = isNew ? freeId(value.name, (taken) => all.some((one) => one.id === taken)) : value.id;
  const others = all.filter((one) => one.id !== value.id);
  const next = others.find((one) => one.id === value.nextLadder);
  const handOver = (rank: Rank, there: string | null) => {
    const { [rank.id]: _, ...rest } = value.handOver;
    change({ handOver: there ? { ...rest, [rank.id]: there } : rest });
  };
  return (
    <EditForm
      title={isNew ? 'Whom it is for' : `Change ${ladder?.name}`}
      place="ladders"
      draft={draft}
      body={withIds({ ...value, id }, all)}
      done={`${value.name} is saved.`}
      current={current}
      onDone={onDone}
      onCancel={onCancel}
      retired={`${value.name} is taken out.`}
      retire="Take it out"
    >
      <div className={classes.fields}>
        <TextInput
          label="Name"
          placeholder="Adults"
          error={error('name')}
          value={value.name}
          onChange={(event) => change({ name: event.currentTarget.value })}
        />
        <Age
          label="From age"
          at={value.fromAge}
          error={error('fromAge')}
          put={(fromAge) => change({ fromAge })}
        />
        <Age label="Up to age" at={value.toAge} error={error('toAge')} put={(toAge) => change({ toAge })} />
        <MultiSelect
          label="Classes that count"
          placeholder={value.tracks.length === 0 ? 'of every track' : undefined}
          data={tracks.map((track) => ({ value: track.id, label: track.name }))}
          error={error('tracks')}
          value={value.tracks}
          onChange={(counted) => change({ tracks: counted })}
        />
        <Select
          label="Stripes"
          data={STRIPES}
          value={policy.stripes}
          allowDeselect={false}
          onChange={(stripes) => under({ stripes: stripes as Policy['stripes'] })}
        />
        {policy.stripes === 'BY_CLASSES' && (
          <NumberInput
            label="Classes for a stripe"
            min={1}
            max={1000}
            error={error('policy.classesPerStripe')}
            value={policy.classesPerStripe}
            onChange={(n) => under({ classesPerStripe: Number(n) })}
          />
        )}
        <Select
          label="Belts"
          data={BELTS}
          value={policy.belt}
          allowDeselect={false}
          onChange={(belt) => under({ belt: belt as Policy['belt'] })}
        />
        <Select
          label="Checked under the rules of"
          placeholder="none, on the whole map"
          data={rulesets.map((one) => ({ value: one.id, label: one.name }))}
          value={value.ruleset}
          clearable
          onChange={(ruleset) => change({ ruleset })}
        />
        {value.toAge > 0 && others.length > 0 && (
          <Select
            label="Then they go on to"
            placeholder="nowhere yet"
            data={others.map((one) => ({ value: one.id, label: one.name }))}
            value={value.nextLadder}
            clearable
            onChange={(nextLadder) => change({ nextLadder, handOver: {} })}
          />
        )}
        <NumberInput
          label="Classes a week"
          min={0}
          max={30}
          decimalScale={1}
          value={policy.classesAWeek}
          onChange={(n) => under({ classesAWeek: Number(n) })}
        />
        <Share
          label="Of them, people come to"
          at={policy.attendanceShare}
          put={(n) => under({ attendanceShare: n ?? 0 })}
        />
        <NumberInput
          label="Technique in a usual class"
          suffix=" min"
          min={0}
          max={300}
          value={policy.techniqueMinutes}
          onChange={(n) => under({ techniqueMinutes: Number(n) })}
        />
        <Share
          label="Should start on the feet"
          placeholder="not said"
          at={policy.standing}
          put={(standing) => under({ standing })}
        />
        <Checkbox
          className={classes.tick}
          label="Fixed exam lists as syllabuses"
          checked={value.examList}
          onChange={(event) => change({ examList: event.currentTarget.checked })}
        />
      </div>
      {policy.stripes === 'BY_CLASSES' && <p>{addsUp(value)}</p>}
      {!isNew && (
        <p className="quiet">
          In which months belts are given and what else counts is said beside the{' '}
          <Link to={`/people/promotions?ladder=${value.id}`}>promotions</Link>.
        </p>
      )}
      <Rows
        label="Ranks, the lowest first"
        at="ranks"
        rows={value.ranks}
        blank={() => nextRank(value.ranks)}
        onChange={(ranks) => change({ ranks })}
        add="Add a rank"
      >
        {(rank, put, n) => (
          <div className={classes.rank}>
            <Belt colours={rank.colours} of={rank.stripes} />
            <TextInput
              label="Rank"
              placeholder="White"
              error={error(`ranks.${n}.name`)}
              value={rank.name}
              onChange={(event) => put({ ...rank, name: event.currentTarget.value })}
            />
            <Select
              label="Colour"
              data={COLOURS}
              value={rank.colours[0]}
              allowDeselect={false}
              onChange={(colour) => put({ ...rank, colours: [colour as string, ...rank.colours.slice(1)] })}
            />
            <Select
              label="Second colour"
              placeholder="none"
              data={COLOURS}
              value={rank.colours[1] ?? null}
              clearable
              onChange={(second) =>
                put({ ...rank, colours: [nth(rank.colours, 0), ...(second ? [second] : [])] })
              }
            />
            <NumberInput
              label="Stripes"
              min={0}
              max={9}
              error={error(`ranks.${n}.stripes`)}
              value={rank.stripes}
              onChange={(stripes) => put({ ...rank, stripes: Number(stripes) })}
            />
            <Age label="Least age" at={rank.minAge} put={(minAge) => put({ ...rank, minAge })} />
            <NumberInput
              label="Least weeks"
              min={0}
              max={2000}
              value={rank.minWeeks}
              onChange={(minWeeks) => put({ ...rank, minWeeks: Number(minWeeks) })}
            />
            {next && rank.id && (
              <Select
                className={classes.on}
                label={`${rank.name || 'It'} goes on as`}
                placeholder="the lowest"
                data={next.ranks.map((one) => ({ value: one.id, label: one.name }))}
                value={value.handOver[rank.id] ?? null}
                clearable
                onChange={(there) => handOver(rank, there)}
              />
            )}
          </div>
        )}
      </Rows>
    </EditForm>
  );
}

type ShareProps = {
  label: string;
  placeholder?: string;
  at: number | null;
  put: (share: number | null) => void;
};

/** A share of 0 to 1, typed in hundredths; empty: null. */
function Share({ label, placeholder, at, put }: ShareProps) {
  return (
    <NumberInput
      label={label}
      placeholder={placeholder}
      suffix=" %"
      min={0}
      max={100}
      value={at === null ? '' : Math.round(at * 100)}
      onChange={(n) => put(n === '' ? null : Number(n) / 100)}
    />
  );
}

type AgeProps = { label: string; at: number; error?: string; put: (age: number) => void };

/** An age in years; empty: none is asked. */
function Age({ label, at, error, put }: AgeProps) {
  return (
    <NumberInput
      label={label}
      placeholder="any"
      min={0}
      max={99}
      error={error}
      value={at || ''}
      onChange={(age) => put(Number(age) || 0)}
    />
  );
}

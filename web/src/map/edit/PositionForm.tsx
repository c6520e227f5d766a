import { Checkbox, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { type MapIndex, useMapPart } from '../../api/map';
import type { Pair, Position } from '../../api/types';
import { blankPair, blankPosition } from '../../form/blanks';
import classes from '../../form/Edit.module.css';
import { EditForm } from '../../form/EditForm';
import { freeId, tenths } from '../../form/fields';
import { Rows, Texts } from '../../form/Lists';
import { isBlank, unsaid } from '../../form/limits';
import { type Opened, useDraft, useErrorAt } from '../../form/useDraft';
import { Loaded } from '../../ui/States';
import { plain, STAGES } from '../../ui/words';

type Props = { map: MapIndex; pair: string | null; onDone: (pair: string) => void; onCancel: () => void };

/** A pair of positions: both sides of one moment. Whatever one side leads, the other is led by. */
export function PositionForm(props: Props) {
  const kept = useMapPart<Pair>('pairs', props.pair);
  if (props.pair === null)
    return <Form {...props} opened={{ value: blankPair('LEGS_BETWEEN'), tag: null }} />;
  return <Loaded query={kept}>{(opened) => <Form {...props} opened={opened} />}</Loaded>;
}

const JACKETS = [
  { value: 'EITHER', label: 'With or without a jacket' },
  { value: 'JACKET', label: 'With a jacket only' },
  { value: 'NO_JACKET', label: 'Without a jacket only' },
];

const wrongSide = (at: 'first' | 'second', side: Position | null) =>
  side
    ? {
        ...(isBlank(side.name) ? { [`${at}.name`]: 'What is it called?' } : {}),
        ...unsaid(`${at}.aliases`, side.aliases),
        ...unsaid(`${at}.details`, side.details),
        ...unsaid(`${at}.cautions`, side.cautions),
      }
    : {};

const wrong = ({ first, second }: Pair) => ({
  ...wrongSide('first', first),
  ...wrongSide('second', second),
  ...(second && first.name.trim() !== '' && first.name.trim() === second.name.trim()
    ? { 'second.name': 'The two sides need names of their own.' }
    : {}),
});

function Form({ map, opened, onDone, onCancel }: Props & { opened: Opened<Pair> }) {
  const draft = useDraft(opened, 'PositionPair', wrong);
  const { value: pair, isNew, change } = draft;
  const { first, second } = pair;
  const lead = (control: number) =>
    change({
      first: { ...first, control },
      second: second && { ...second, control: tenths(-control) },
    });
  const leadIn = (rows: { ruleset: string; control: number }[]) => {
    const of = (sign: number) => Object.fromEntries(rows.map((r) => [r.ruleset, tenths(sign * r.control)]));
    change({
      first: { ...first, controlIn: of(1) },
      second: second && { ...second, controlIn: of(-1) },
    });
  };
  const named = (): Pair => {
    if (!isNew) return pair;
    const taken = (id: string) => map.position.has(id) || map.data.pairs.some((p) => p.id === id);
    const id = freeId(first.name, taken);
    return {
      ...pair,
      id,
      first: { ...first, id },
      second: second && { ...second, id: freeId(second.name, (other) => other === id || taken(other)) },
    };
  };
  const body = named();
  return (
    <EditForm
      title={isNew ? 'A new position' : `Change ${first.name}`}
      place="positions"
      draft={draft}
      body={body}
      done={`${first.name} saved.`}
      retired={`${first.name} retired.`}
      onDone={() => onDone(body.first.id)}
      onCancel={onCancel}
    >
      <Select
        label="Stage"
        data={STAGES.map((s) => ({ value: s, label: plain(s) }))}
        value={pair.stage}
        allowDeselect={false}
        onChange={(value) => change({ stage: value as Pair['stage'] })}
      />
      {isNew && (
        <Checkbox
          label="Both stand the same; it is its own counterpart"
          checked={!second}
          onChange={(event) =>
            change(
              event.currentTarget.checked
                ? { first: { ...first, control: 0 }, second: null }
                : { second: blankPosition('', '', tenths(-first.control)) },
            )
          }
        />
      )}
      {second && (
        <NumberInput
          label={`Who leads at ${first.name || 'the first'}`}
          description="−3 I am about to be finished, 0 even, +3 I finish at will; the other side is the opposite"
          min={-3}
          max={3}
          step={0.1}
          decimalScale={1}
          value={first.control}
          onChange={(value) => lead(tenths(Number(value)))}
        />
      )}
      {second && (
        <Rows
          label="Control in a ruleset"
          rows={Object.entries(first.controlIn).map(([ruleset, control]) => ({ ruleset, control }))}
          blank={() => ({
            ruleset: map.data.rulesets.find((r) => !(r.id in first.controlIn))?.id ?? '',
            control: first.control,
          })}
          onChange={leadIn}
          add="Add a ruleset"
        >
          {(row, put) => (
            <div className={classes.pair}>
              <Select
                aria-label="Ruleset"
                data={map.data.rulesets.map((r) => ({ value: r.id, label: r.name }))}
                value={row.ruleset}
                allowDeselect={false}
                onChange={(value) => value && put({ ...row, ruleset: value })}
              />
              <NumberInput
                aria-label="Control in it"
                min={-3}
                max={3}
                step={0.1}
                decimalScale={1}
                value={row.control}
                onChange={(value) => put({ ...row, control: tenths(Number(value)) })}
              />
            </div>
          )}
        </Rows>
      )}
      <Select
        label="Jacket"
        data={JACKETS}
        value={first.jacket}
        allowDeselect={false}
        onChange={(value) => {
          const jacket = value as Position['jacket'];
          change({ first: { ...first, jacket }, second: second && { ...second, jacket } });
        }}
      />
      <Side
        title={second ? 'One side' : 'The position'}
        at="first"
        side={first}
        onChange={(p) => change({ first: p })}
      />
      {second && (
        <Side title="The other side" at="second" side={second} onChange={(p) => change({ second: p })} />
      )}
    </EditForm>
  );
}

type SideProps = {
  title: string;
  /** Its path in the pair. */
  at: 'first' | 'second';
  side: Position;
  onChange: (p: Position) => void;
};

/** One side of the pair. A new name keeps the old one as another name, so that it is still found. */
function Side({ title, at, side, onChange }: SideProps) {
  const error = useErrorAt();
  const [old] = useState(side.name);
  const rename = () => {
    const keeps = old && old !== side.name && !side.aliases.includes(old);
    if (keeps) onChange({ ...side, aliases: [...side.aliases, old] });
  };
  return (
    <>
      <h3>{title}</h3>
      <TextInput
        label={`Name, ${title.toLowerCase()}`}
        error={error(`${at}.name`)}
        value={side.name}
        onBlur={rename}
        onChange={(event) => onChange({ ...side, name: event.currentTarget.value })}
      />
      <Textarea
        label="In a sentence"
        autosize
        error={error(`${at}.summary`)}
        value={side.summary}
        onChange={(event) => onChange({ ...side, summary: event.currentTarget.value })}
      />
      <Checkbox
        label="A hold-down that a ruleset may count"
        checked={side.pin}
        onChange={(event) => onChange({ ...side, pin: event.currentTarget.checked })}
      />
      <Texts
        label="Other names"
        at={`${at}.aliases`}
        texts={side.aliases}
        onChange={(aliases) => onChange({ ...side, aliases })}
      />
      <Texts
        label="Details"
        at={`${at}.details`}
        texts={side.details}
        onChange={(details) => onChange({ ...side, details })}
      />
      <Texts
        label="Cautions"
        at={`${at}.cautions`}
        texts={side.cautions}
        onChange={(cautions) => onChange({ ...side, cautions })}
      />
    </>
  );
}

import { NumberInput, Select, TextInput } from '@mantine/core';
import type { MapIndex } from '../api/queries';
import type { Block, ChainView } from '../api/types';
import { useErrorAt } from '../form/useDraft';
import { plain } from '../ui/words';
import classes from './PlanPage.module.css';
import { drills, isBare, KINDS, ofKind, titleOf } from './plan';

type Props = {
  map: MapIndex;
  block: Block;
  n: number;
  techniques: { value: string; label: string }[];
  chains: ChainView[];
  onChange: (block: Block) => void;
};

const SIDES = [
  { value: 'BOTH', label: 'each side' },
  { value: 'RIGHT', label: 'right only' },
  { value: 'LEFT', label: 'left only' },
];

/** One block: its kind and minutes first, then what is drilled and what to watch. */
export function BlockFields({ map, block, n, techniques, chains, onChange }: Props) {
  const error = useErrorAt();
  const technique = map.technique.get(block.technique);
  const at = `blocks.${n}`;
  const nth = `block ${n + 1}`;
  const { dose } = block;
  return (
    <>
      <div className={classes.block}>
        <Select
          aria-label={`Kind of ${nth}`}
          data={KINDS.map((kind) => ({ value: kind, label: plain(kind) }))}
          value={block.kind}
          allowDeselect={false}
          onChange={(kind) => onChange(ofKind(block, kind as Block['kind']))}
        />
        <NumberInput
          aria-label={`Minutes of ${nth}`}
          suffix=" min"
          min={1}
          max={240}
          error={error(`${at}.minutes`)}
          value={block.minutes}
          onChange={(minutes) => onChange({ ...block, minutes: Number(minutes) })}
        />
        {!isBare(block.kind) && (
          <Select
            aria-label={`Technique of ${nth}`}
            placeholder="Technique"
            searchable
            clearable
            limit={60}
            data={techniques}
            error={error(`${at}.technique`)}
            value={block.technique}
            onChange={(id) => onChange({ ...block, technique: id, version: null, watchFault: null })}
          />
        )}
        <TextInput
          aria-label={`Title of ${nth}`}
          placeholder={titleOf({ ...block, title: '' }, map)}
          error={error(`${at}.title`)}
          value={block.title}
          onChange={(event) => onChange({ ...block, title: event.currentTarget.value })}
        />
      </div>
      {!isBare(block.kind) && (
        <div className={classes.block}>
          {dose && drills(block.kind) && (
            <>
              <NumberInput
                aria-label={`Repetitions of ${nth}`}
                suffix=" reps"
                min={0}
                max={500}
                error={error(`${at}.dose.reps`)}
                value={dose.reps}
                onChange={(reps) => onChange({ ...block, dose: { ...dose, reps: Number(reps) } })}
              />
              <Select
                aria-label={`Sides of ${nth}`}
                data={SIDES}
                value={dose.sides}
                allowDeselect={false}
                onChange={(sides) =>
                  onChange({ ...block, dose: { ...dose, sides: sides as typeof dose.sides } })
                }
              />
            </>
          )}
          <TextInput
            aria-label={`Cue of ${nth}`}
            placeholder="The one cue to say"
            error={error(`${at}.watchCue`)}
            value={block.watchCue ?? ''}
            onChange={(event) => onChange({ ...block, watchCue: event.currentTarget.value || null })}
          />
          {technique && technique.faults.length > 0 && (
            <Select
              aria-label={`Fault to watch in ${nth}`}
              placeholder="The one fault to watch"
              clearable
              data={technique.faults.map((fault) => ({ value: fault.id, label: fault.see }))}
              value={block.watchFault}
              onChange={(fault) => onChange({ ...block, watchFault: fault })}
            />
          )}
          {technique && technique.versions.length > 0 && (
            <Select
              aria-label={`Version in ${nth}`}
              placeholder="The house version"
              clearable
              data={technique.versions.map((version) => ({ value: version.id, label: version.name }))}
              value={block.version}
              onChange={(version) => onChange({ ...block, version })}
            />
          )}
          {drills(block.kind) && !block.technique && chains.length > 0 && (
            <Select
              aria-label={`Chain of ${nth}`}
              placeholder="or a chain"
              searchable
              clearable
              data={chains.map(({ chain }) => ({ value: chain.id, label: chain.name }))}
              value={block.chain}
              onChange={(chain) => onChange({ ...block, chain })}
            />
          )}
        </div>
      )}
    </>
  );
}

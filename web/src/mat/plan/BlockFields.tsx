import { NumberInput, Select, TextInput } from '@mantine/core';
import type { MapIndex } from '../../api/map';
import type { Block, BlockSum, ChainView } from '../../api/types';
import { DurationField } from '../../form/DurationField';
import { positionOptions } from '../../form/pickers';
import { useErrorAt } from '../../form/useDraft';
import { plain } from '../../ui/words';
import { Dosed } from './Dosed';
import classes from './PlanPage.module.css';
import { drills, isBare, isLive, KINDS, ofKind, roundWords, titleOf } from './plan';

type Props = {
  map: MapIndex;
  block: Block;
  n: number;
  techniques: { value: string; label: string }[];
  chains: ChainView[];
  /** What fits into it; null while that is not known. */
  sum: BlockSum | null;
  onChange: (block: Block) => void;
};

const SIDES = [
  { value: 'BOTH', label: 'each side' },
  { value: 'RIGHT', label: 'right only' },
  { value: 'LEFT', label: 'left only' },
];

/** One block: its kind and minutes first, then what is drilled and what to watch. */
export function BlockFields({ map, block, n, techniques, chains, sum, onChange }: Props) {
  const error = useErrorAt();
  const technique = map.technique.get(block.technique);
  const at = `blocks.${n}`;
  const nth = `block ${n + 1}`;
  const { dose } = block;
  return (
    <>
      <div className={classes.block}>
        <Select
          label="Kind"
          aria-label={`Kind of ${nth}`}
          data={KINDS.map((kind) => ({ value: kind, label: plain(kind) }))}
          value={block.kind}
          allowDeselect={false}
          onChange={(kind) => onChange(ofKind(block, kind as Block['kind']))}
        />
        <NumberInput
          label="Minutes"
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
            label="Technique"
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
          label="Called"
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
                label="Repetitions"
                aria-label={`Repetitions of ${nth}`}
                suffix=" reps"
                min={0}
                max={500}
                error={error(`${at}.dose.reps`)}
                value={dose.reps}
                onChange={(reps) => onChange({ ...block, dose: { ...dose, reps: Number(reps) } })}
              />
              <Select
                label="Sides"
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
          {block.kind === 'POSITIONAL_ROUNDS' && (
            <Select
              label="Where they start"
              aria-label={`Position of ${nth}`}
              placeholder="Where they start"
              searchable
              clearable
              limit={80}
              data={positionOptions(map)}
              error={error(`${at}.position`)}
              value={block.position}
              onChange={(position) => onChange({ ...block, position })}
            />
          )}
          {technique && block.kind === 'PART_DRILL' && technique.steps.length > 1 && (
            <Select
              label="Steps"
              aria-label={`Steps of ${nth}`}
              data={partsOf(technique.steps.length)}
              value={`${block.fromStep || 1}-${block.toStep || technique.steps.length}`}
              allowDeselect={false}
              onChange={(part) => {
                const [from = 0, to = 0] = (part ?? '0-0').split('-').map(Number);
                onChange({ ...block, fromStep: from, toStep: to });
              }}
            />
          )}
          <TextInput
            label="The one cue"
            aria-label={`Cue of ${nth}`}
            placeholder="The one cue to say"
            error={error(`${at}.watchCue`)}
            value={block.watchCue ?? ''}
            onChange={(event) => onChange({ ...block, watchCue: event.currentTarget.value || null })}
          />
          {technique && technique.faults.length > 0 && (
            <Select
              label="Fault to watch"
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
              label="Version"
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
              label="Or a chain"
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
      {isLive(block.kind) && (
        <div className={classes.block}>
          <DurationField
            label="Round"
            aria-label={`Round of ${nth}`}
            none="one round"
            most={3600}
            error={error(`${at}.work`)}
            value={block.work}
            onChange={(work) => onChange({ ...block, work })}
          />
          <DurationField
            label="Rest"
            aria-label={`Rest of ${nth}`}
            none="no rest"
            most={600}
            error={error(`${at}.rest`)}
            value={block.rest}
            onChange={(rest) => onChange({ ...block, rest })}
          />
          <p className={classes.fits}>{sum && roundWords(block, sum.rounds)}</p>
        </div>
      )}
      {dose && drills(block.kind) && (
        <Dosed block={block} dose={dose} sum={sum?.dose ?? null} nth={nth} at={at} onChange={onChange} />
      )}
    </>
  );
}

/** Steps 1 to 2, 1 to 3 … of a technique. */
const partsOf = (steps: number) =>
  Array.from({ length: steps }, (_, from) =>
    Array.from({ length: steps - from }, (__, more) => {
      const [first, last] = [from + 1, from + 1 + more];
      return {
        value: `${first}-${last}`,
        label:
          first === 1 && last === steps
            ? 'all steps'
            : first === last
              ? `step ${first}`
              : `steps ${first} to ${last}`,
      };
    }),
  ).flat();

import type { MapIndex } from '../../api/map';
import type { Block, DrillShape, Technique, TrainingClass } from '../../api/types';
import { minutesAndSeconds } from '../../form/duration';
import { freeId } from '../../form/fields';
import { type Errors, lacking } from '../../form/limits';
import { count, plain } from '../../ui/words';

export const KINDS: Block['kind'][] = [
  'WARM_UP',
  'BREAKFALLS',
  'EXPLAIN',
  'PART_DRILL',
  'WHOLE_DRILL',
  'TIMED_ROUNDS',
  'POSITIONAL_ROUNDS',
  'FREE_ROUNDS',
  'COOL_DOWN',
];

/** Whether something is repeated in it, so that it has a dose. */
export const drills = (kind: Block['kind']) =>
  kind === 'PART_DRILL' || kind === 'WHOLE_DRILL' || kind === 'BREAKFALLS';

/** Rounds against each other; they have a length and a rest. */
export const isLive = (kind: Block['kind']) =>
  kind === 'TIMED_ROUNDS' || kind === 'POSITIONAL_ROUNDS' || kind === 'FREE_ROUNDS';

/** Kinds that are about no technique. */
export const isBare = (kind: Block['kind']) =>
  kind === 'WARM_UP' || kind === 'FREE_ROUNDS' || kind === 'COOL_DOWN';

const DOSE: NonNullable<Block['dose']> = {
  reps: 10,
  sides: 'BOTH',
  swaps: 1,
  tempo: 'SLOW',
  resistance: 0,
  surface: 'MAT',
  explain: 60,
  pace: 6,
  stop: null,
};

const SIDES = { BOTH: 'each side', RIGHT: 'right only', LEFT: 'left only' } as const;

/** "5 rounds of 3:00, 0:30 rest"; nothing where the block is one. */
export const roundWords = ({ work, rest }: Block, rounds: number) =>
  work === 0
    ? ''
    : `${count(rounds, 'round', 'rounds')} of ${minutesAndSeconds(work)}${rest > 0 ? `, ${minutesAndSeconds(rest)} rest` : ''}`;

/** How many whole rounds fit, with rest between them. */
export const roundsIn = ({ work, rest }: Pick<Block, 'work' | 'rest'>, seconds: number) =>
  work === 0 ? 1 : Math.floor((seconds + rest) / (work + rest));

type Doses = Pick<NonNullable<Block['dose']>, 'reps' | 'sides' | 'swaps'>;

/** "8 each side, then swap" */
export const doseWords = ({ reps, sides, swaps }: Doses) =>
  `${reps} ${SIDES[sides]}${swaps > 0 ? ', then swap' : ''}`;

export const blankBlock = (kind: Block['kind'], minutes: number): Block => ({
  id: '',
  kind,
  title: '',
  minutes,
  technique: null,
  version: null,
  chain: null,
  dose: drills(kind) ? DOSE : null,
  watchCue: null,
  watchFault: null,
  fromStep: 0,
  toStep: 0,
  position: null,
  leads: 'ANY',
  work: 0,
  rest: 0,
});

/** The next block: what usually follows, as long as what is left or ten minutes. */
export function nextBlock(training: TrainingClass): Block {
  const kinds = training.blocks.map((block) => block.kind);
  const kind = kinds.length === 0 ? 'WARM_UP' : kinds.length === 1 ? 'BREAKFALLS' : 'WHOLE_DRILL';
  return blankBlock(kind, Math.max(5, Math.min(10, leftOf(training))));
}

/** A block of another kind keeps what fits it. */
export const ofKind = (block: Block, kind: Block['kind']): Block => ({
  ...block,
  kind,
  dose: drills(kind) ? (block.dose ?? DOSE) : null,
  position: kind === 'POSITIONAL_ROUNDS' ? block.position : null,
  ...(isLive(kind) ? {} : { work: 0, rest: 0 }),
  ...(isBare(kind) ? { technique: null, version: null, chain: null, watchFault: null } : {}),
});

/** A block from a shape of drilling. */
export const fromShape = (shape: DrillShape): Block => ({
  ...blankBlock(shape.kind, shape.minutes),
  title: shape.name,
  technique: shape.technique,
  dose: shape.dose ?? (drills(shape.kind) ? DOSE : null),
  watchCue: shape.watch,
  fromStep: shape.fromStep,
  toStep: shape.toStep,
  position: shape.start,
});

export const minutesOf = (blocks: Block[]) => blocks.reduce((sum, block) => sum + block.minutes, 0);

/** Minutes that no block fills; below 0 they are over. Changes and water are added by the core. */
export const leftOf = (training: TrainingClass) => training.minutes - minutesOf(training.blocks);

/** What a block is called when nobody says: by its technique, else by its kind. */
export const titleOf = (block: Block, map: MapIndex) =>
  block.title.trim() || map.technique.get(block.technique)?.name || plain(block.kind);

/** The class as it is sent: every block has an id of its own and a title. */
export function whole(training: TrainingClass, map: MapIndex): TrainingClass {
  const taken = new Set(training.blocks.map((block) => block.id).filter(Boolean));
  return {
    ...training,
    blocks: training.blocks.map((block) => {
      const title = titleOf(block, map);
      const id = block.id || freeId(title, (other) => taken.has(other));
      taken.add(id);
      return { ...block, id, title };
    }),
  };
}

/** The blocks of another class as new ones of this one. */
export const copied = (blocks: Block[]): Block[] => blocks.map((block) => ({ ...block, id: '' }));

export const wrong = (training: TrainingClass): Errors => ({
  ...(training.minutes >= 5 && training.minutes <= 480 ? {} : { minutes: 'From 5 to 480.' }),
  ...(/^\d\d:\d\d/.test(training.start) ? {} : { start: 'When does it begin?' }),
  ...(training.date ? {} : { date: 'On which day?' }),
  ...Object.fromEntries(
    training.blocks.flatMap((block, n) => [
      ...(block.minutes >= 1 && block.minutes <= 240 ? [] : [[`blocks.${n}.minutes`, 'From 1 to 240.']]),
      ...(block.dose && !(block.dose.reps >= 0 && block.dose.reps <= 500)
        ? [[`blocks.${n}.dose.reps`, 'From 0 to 500.']]
        : []),
    ]),
  ),
  ...lacking(
    'blocks',
    training.blocks.map((block) => ({
      technique: drills(block.kind) && !block.chain ? block.technique : '-',
    })),
    { technique: 'What is drilled?' },
  ),
});

/** The steps that a part drill takes of its technique; none where it takes all. */
export const stepsOf = (block: Block, technique?: Technique) =>
  technique && block.kind === 'PART_DRILL' && block.fromStep > 0
    ? technique.steps.slice(block.fromStep - 1, block.toStep || undefined).map((step) => step.text)
    : [];

import { Autocomplete, Button, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useSession } from '../../api/club';
import { type MapIndex, useChains } from '../../api/map';
import { readPlan, useDays } from '../../api/mat';
import { useSums } from '../../api/sums';
import type { Block, DrillShape, Summed, Track, TrainingClass } from '../../api/types';
import { CoachField } from '../../form/CoachField';
import { EditForm } from '../../form/EditForm';
import { Rows } from '../../form/Lists';
import { techniqueOptions } from '../../form/pickers';
import { Taking } from '../../form/Taking';
import { type Opened, useDraft } from '../../form/useDraft';
import { nth } from '../../ui/lists';
import { date, daysBefore, plain } from '../../ui/words';
import { AskedFor } from './AskedFor';
import { BlockFields } from './BlockFields';
import { KeepPattern, Patterned } from './Patterned';
import classes from './PlanPage.module.css';
import { copied, fromShape, leftOf, minutesOf, nextBlock, whole, wrong } from './plan';

type Props = {
  map: MapIndex;
  tracks: Track[];
  drills: DrillShape[];
  opened: Opened<TrainingClass>;
  onDone: () => void;
  onCancel: () => void;
};

/** A class by hand: its frame, then its blocks, whose minutes add up. */
export function PlanForm({ map, tracks, drills, opened, onDone, onCancel }: Props) {
  const draft = useDraft(opened, 'TrainingClass', wrong);
  const { value: training, isNew, change, error } = draft;
  const chains = useChains();
  const isHead = useSession().data?.role === 'HEAD';
  const areas = [...new Set(tracks.flatMap((t) => t.slots.flatMap((slot) => slot.area ?? [])))].sort();
  const techniques = techniqueOptions(map) as { value: string; label: string }[];
  const put = (blocks: Block[]) => change({ blocks });
  const [asked] = useDebouncedValue(whole({ ...training, id: training.id || 'sum' }, map), 300);
  const sums = useSums(asked).data;
  return (
    <EditForm
      title={isNew ? 'When and where' : 'What is done'}
      place="classes"
      draft={draft}
      body={whole(training, map)}
      done="The class is planned."
      current={() => readPlan(training.id)}
      onDone={onDone}
      onCancel={onCancel}
    >
      <div className={classes.frame}>
        {isNew && (
          <>
            <Select
              label="Track"
              data={tracks.map((t) => ({ value: t.id, label: t.name }))}
              value={training.track}
              allowDeselect={false}
              onChange={(track) => track && change({ track })}
            />
            <TextInput
              label="Day"
              type="date"
              error={error('date')}
              value={training.date}
              onChange={(event) => change({ date: event.currentTarget.value })}
            />
          </>
        )}
        <TextInput
          label="Starts"
          type="time"
          error={error('start')}
          value={training.start.slice(0, 5)}
          onChange={(event) => change({ start: event.currentTarget.value })}
        />
        <NumberInput
          label="Minutes"
          min={5}
          max={480}
          step={15}
          error={error('minutes')}
          value={training.minutes}
          onChange={(minutes) => change({ minutes: Number(minutes) })}
        />
        <CoachField
          label="Who gives it"
          error={error('coach')}
          value={training.coach}
          onChange={(coach) => change({ coach })}
        />
        <Autocomplete
          label="Area"
          data={areas}
          error={error('area')}
          value={training.area ?? ''}
          onChange={(area) => change({ area: area || null })}
        />
        <NumberInput
          label="Room to throw"
          description="Pairs at once; 0: all"
          min={0}
          max={60}
          error={error('lanes')}
          value={training.lanes}
          onChange={(lanes) => change({ lanes: Number(lanes) })}
        />
        <TextInput
          label="Group"
          placeholder="All together"
          description="Where the class is split"
          error={error('group')}
          value={training.group ?? ''}
          onChange={(event) => change({ group: event.currentTarget.value || null })}
        />
        <TextInput
          label="Theme"
          className={classes.wide}
          error={error('theme')}
          value={training.theme ?? ''}
          onChange={(event) => change({ theme: event.currentTarget.value || null })}
        />
        <Textarea
          label="For whoever covers"
          className={classes.wide}
          autosize
          minRows={1}
          maxLength={500}
          error={error('handOver')}
          value={training.handOver ?? ''}
          onChange={(event) => change({ handOver: event.currentTarget.value || null })}
        />
      </div>
      <AskedFor track={training.track} map={map} />
      <Sum training={training} sums={sums} />
      {((sums && sums.sum.falls > sums.mostFalls) || training.fallsReason || error('fallsReason')) && (
        <TextInput
          label="Why there are more falls this once"
          description="A head coach writes it; it stays with the class"
          readOnly={!isHead}
          maxLength={200}
          error={error('fallsReason')}
          value={training.fallsReason ?? ''}
          onChange={(event) => change({ fallsReason: event.currentTarget.value || null })}
        />
      )}
      <Rows
        label="Blocks"
        at="blocks"
        rows={training.blocks}
        blank={() => nextBlock(training)}
        onChange={put}
        add="Add a block"
      >
        {(block, take, n) => (
          <BlockFields
            {...{ map, block, n, techniques }}
            sum={sums?.sum.blocks.length === training.blocks.length ? nth(sums.sum.blocks, n) : null}
            chains={chains.data ?? []}
            onChange={take}
          />
        )}
      </Rows>
      <div className={classes.ways}>
        {drills.length > 0 && (
          <Taking
            aria-label="Add a block from a drill shape"
            placeholder="Add a drill shape"
            searchable
            data={drills.map((shape) => ({ value: shape.id, label: `${shape.name}, ${shape.minutes} min` }))}
            onTake={(id) => {
              const shape = drills.find((one) => one.id === id);
              if (shape) put([...training.blocks, fromShape(shape)]);
            }}
          />
        )}
        <Patterned onTake={(blocks) => put([...training.blocks, ...blocks])} />
        {training.blocks.length === 0 && <Copy training={training} tracks={tracks} onCopy={put} />}
      </div>
      {training.blocks.length > 0 && (
        <KeepPattern blocks={whole(training, map).blocks} theme={training.theme} />
      )}
    </EditForm>
  );
}

/** How the class adds up: blocks, changes and water beside its minutes, and the falls that everybody takes. */
function Sum({ training, sums }: { training: TrainingClass; sums?: Summed }) {
  const between = sums ? sums.sum.changes + sums.sum.water : 0;
  const left = leftOf(training) - between;
  const share = (minutes: number) =>
    `${(100 * minutes) / Math.max(training.minutes, minutesOf(training.blocks) + between)}%`;
  const falls = sums?.sum.falls ?? 0;
  return (
    <div>
      <div className={classes.strip} aria-hidden="true">
        {training.blocks.map((block, n) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a block that is new has no id yet
          <span key={n} data-kind={block.kind} style={{ width: share(block.minutes) }}>
            {block.minutes}
          </span>
        ))}
      </div>
      <p role="status" className={left < 0 ? classes.over : 'quiet'}>
        {minutesOf(training.blocks)}
        {sums && between > 0 && ` + ${sums.sum.changes} between blocks + ${sums.sum.water} water`} of{' '}
        {training.minutes} minutes
        {left > 0 && `, ${left} left`}
        {left < 0 && `: ${-left} over the class. It can be saved; something will be cut short.`}
      </p>
      {sums && falls > 0 && (
        <p className={falls > sums.fewFalls ? classes.over : 'quiet'}>
          {falls} falls each (limit: {sums.fewFalls} for juniors and beginners, {sums.mostFalls} for adults)
          {falls > sums.mostFalls
            ? ': too many for anybody.'
            : falls > sums.fewFalls
              ? ': too many for juniors and beginners.'
              : '.'}
        </p>
      )}
    </div>
  );
}

/** The plan of another class of the last two months: the last one of this track in one touch, or any. */
function Copy({ training, tracks, onCopy }: CopyProps) {
  const days = useDays(daysBefore(training.date, 60), daysBefore(training.date, 1));
  const planned = (days.data?.classes ?? [])
    .filter((c) => c.blocks.length > 0 && c.id !== training.id)
    .sort((a, b) => b.date.localeCompare(a.date) || b.start.localeCompare(a.start));
  const last = planned.find((c) => c.track === training.track);
  const nameOf = (c: TrainingClass) => tracks.find((t) => t.id === c.track)?.name ?? c.track;
  if (planned.length === 0) return null;
  return (
    <>
      {last && (
        <Button variant="default" onClick={() => onCopy(copied(last.blocks))}>
          Take what was done on {date(last.date)} ({plain(nth(last.blocks, 0).kind).toLowerCase()} …)
        </Button>
      )}
      <Taking
        aria-label="Take the plan of another class"
        placeholder="Take another class"
        searchable
        data={planned.map((c) => ({
          value: c.id,
          label: [date(c.date), nameOf(c), c.theme].filter(Boolean).join(', '),
        }))}
        onTake={(id) => {
          const one = planned.find((c) => c.id === id);
          if (one) onCopy(copied(one.blocks));
        }}
      />
    </>
  );
}

type CopyProps = { training: TrainingClass; tracks: Track[]; onCopy: (blocks: Block[]) => void };

import { Autocomplete, MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';
import type { Slot, Track } from '../api/types';
import { CoachField } from '../form/CoachField';
import edit from '../form/Edit.module.css';
import { EditForm } from '../form/EditForm';
import { freeId, slug } from '../form/fields';
import { Rows } from '../form/Lists';
import { needed } from '../form/limits';
import { useDraft } from '../form/useDraft';
import { nth } from '../ui/lists';
import { FAMILIES, plain } from '../ui/words';
import { DAYS } from './days';
import { MatSize } from './MatSize';
import classes from './TracksRoom.module.css';

type Props = {
  /** The track to change; null: a new one. */
  track: Track | null;
  tag: string | null;
  all: Track[];
  onDone: () => void;
  onCancel: () => void;
};

const BLANK: Track = { id: '', name: '', jacket: 'EITHER', slots: [], teaches: [] };

const JACKETS = [
  { value: 'EITHER', label: 'With or without a jacket' },
  { value: 'JACKET', label: 'With a jacket' },
  { value: 'NO_JACKET', label: 'Without a jacket' },
];

const wrong = (track: Track) => ({
  ...needed(track, { name: 'What is it called?' }),
  ...Object.fromEntries(
    track.slots.flatMap((slot, n) => [
      ...(/^\d\d:\d\d/.test(slot.start) ? [] : [[`slots.${n}.start`, 'When does it begin?']]),
      ...(slot.minutes >= 5 && slot.minutes <= 480 ? [] : [[`slots.${n}.minutes`, 'From 5 to 480.']]),
      ...(slot.from && slot.until && slot.until < slot.from
        ? [[`slots.${n}.until`, 'It ends before it begins.']]
        : []),
    ]),
  ),
});

/** A track and its weekly times. */
export function TrackForm({ track, tag, all, onDone, onCancel }: Props) {
  const draft = useDraft({ value: track ?? BLANK, tag }, 'Track', wrong);
  const { value, isNew, change, error } = draft;
  const areas = [...new Set(all.flatMap((t) => t.slots.flatMap((slot) => slot.area ?? [])))].sort();
  const id = isNew ? freeId(value.name, (taken) => all.some((t) => t.id === taken)) : value.id;
  return (
    <EditForm
      title={isNew ? 'A new track' : `Change ${track?.name}`}
      place="tracks"
      draft={draft}
      body={{ ...value, id, slots: named(id, value.slots, all) }}
      done={`${value.name} is saved.`}
      onDone={onDone}
      onCancel={onCancel}
    >
      <TextInput
        label="Name"
        placeholder="Juniors"
        error={error('name')}
        value={value.name}
        onChange={(event) => change({ name: event.currentTarget.value })}
      />
      <Select
        label="Jacket"
        data={JACKETS}
        value={value.jacket}
        allowDeselect={false}
        onChange={(jacket) => change({ jacket: jacket as Track['jacket'] })}
      />
      <MultiSelect
        label="What it is about"
        description="A plan of this track is offered these first"
        placeholder={value.teaches.length === 0 ? 'Everything' : ''}
        data={FAMILIES.map((family) => ({
          value: family,
          label: family === 'PASS' ? 'Passes' : `${plain(family)}s`,
        }))}
        value={value.teaches}
        onChange={(teaches) => change({ teaches: teaches as Track['teaches'] })}
      />
      <Rows
        label="Weekly times"
        at="slots"
        rows={value.slots}
        blank={() => nextSlot(value.slots)}
        onChange={(slots) => change({ slots })}
        add="Add a time"
      >
        {(slot, put, n) => (
          <>
            <div className={classes.times}>
              <Select
                aria-label={`Day of time ${n + 1}`}
                data={Object.entries(DAYS).map(([code, label]) => ({ value: code, label }))}
                value={slot.day}
                allowDeselect={false}
                onChange={(day) => put({ ...slot, day: day as Slot['day'] })}
              />
              <TextInput
                aria-label={`Start of time ${n + 1}`}
                type="time"
                error={error(`slots.${n}.start`)}
                value={slot.start.slice(0, 5)}
                onChange={(event) => put({ ...slot, start: event.currentTarget.value })}
              />
              <NumberInput
                aria-label={`Minutes of time ${n + 1}`}
                suffix=" min"
                min={5}
                max={480}
                step={15}
                error={error(`slots.${n}.minutes`)}
                value={slot.minutes}
                onChange={(minutes) => put({ ...slot, minutes: Number(minutes) })}
              />
              <Autocomplete
                aria-label={`Area of time ${n + 1}`}
                placeholder="On which mat"
                data={areas}
                error={error(`slots.${n}.area`)}
                value={slot.area ?? ''}
                onChange={(area) => put({ ...slot, area: area || null })}
              />
            </div>
            <div className={classes.times}>
              <CoachField
                label="Who gives it"
                error={error(`slots.${n}.coach`)}
                value={slot.coach}
                onChange={(coach) => put({ ...slot, coach })}
              />
              <NumberInput
                label="Room to throw"
                suffix=" pairs"
                min={0}
                max={60}
                error={error(`slots.${n}.lanes`)}
                value={slot.lanes}
                onChange={(lanes) => put({ ...slot, lanes: Number(lanes) })}
              />
              <TextInput
                label="From"
                type="date"
                value={slot.from ?? ''}
                onChange={(event) => put({ ...slot, from: event.currentTarget.value || null })}
              />
              <TextInput
                label="Until"
                type="date"
                error={error(`slots.${n}.until`)}
                value={slot.until ?? ''}
                onChange={(event) => put({ ...slot, until: event.currentTarget.value || null })}
              />
            </div>
            <MatSize onTake={(lanes) => put({ ...slot, lanes })} />
            {error(`slots.${n}`) && <p className={edit.wrong}>{error(`slots.${n}`)}</p>}
          </>
        )}
      </Rows>
    </EditForm>
  );
}

/** The next time is most often like the one before, on another day. */
function nextSlot(slots: Slot[]): Slot {
  const last = slots.at(-1);
  const days = Object.keys(DAYS) as Slot['day'][];
  return {
    id: '',
    from: null,
    until: null,
    day: last ? nth(days, (days.indexOf(last.day) + 2) % 7) : 'TUESDAY',
    start: last?.start ?? '18:00',
    minutes: last?.minutes ?? 90,
    area: last?.area ?? null,
    coach: last?.coach ?? null,
    lanes: last?.lanes ?? 0,
  };
}

/** Each new time gets an id that no other time of the club has; it becomes part of the ids of its classes. */
function named(track: string, slots: Slot[], all: Track[]): Slot[] {
  const taken = new Set([...all.flatMap((t) => t.slots), ...slots].map((slot) => slot.id));
  return slots.map((slot) => {
    if (slot.id) return slot;
    const id = freeId(slug(`${track} ${slot.day}`).slice(0, 50), (other) => taken.has(other));
    taken.add(id);
    return { ...slot, id };
  });
}

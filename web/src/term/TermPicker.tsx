import { Select } from '@mantine/core';
import { useNavigate } from 'react-router';
import { useSession } from '../api/club';
import { useToday } from '../api/mat';
import { useCycles } from '../api/terms';
import type { PlanLine, Term, TermPlan, ThemeCycle, Track } from '../api/types';
import { useEdit } from '../form/useEdit';

type Props = { value: string | null; lines: PlanLine[]; terms: Term[]; tracks: Track[] };

/** Chooses a track's plan of a term, or its theme weeks; what there is not yet is begun. */
export function TermPicker({ value, lines, terms, tracks }: Props) {
  const navigate = useNavigate();
  const edit = useEdit();
  const now = useToday();
  const cycles = useCycles().data ?? [];
  const mayWrite = useSession().data?.role !== 'VIEWER';
  const nameOf = (track: string) => tracks.find((one) => one.id === track)?.name ?? track;
  const termOf = (term: string) => terms.find((one) => one.id === term)?.name ?? term;
  const unplanned = terms.flatMap((term) =>
    tracks
      .filter((track) => track.slots.some((slot) => term.slots.includes(slot.id)))
      .filter((track) => !lines.some((one) => one.term === term.id && one.track === track.id))
      .map((track) => ({ term, track })),
  );
  const beginWeeks = async (id: string) => {
    const track = tracks.find((one) => one.id === id);
    if (!track) return;
    const cycle: ThemeCycle = {
      id: `${id}-weeks`.slice(0, 60),
      track: id,
      from: now,
      minutes: 0,
      themes: [],
    };
    const done = `${track.name} has theme weeks. Lay out what is taught.`;
    const kept = await edit.save({ place: 'cycles', body: cycle, tag: null, done });
    if (kept) navigate(`/term/cycles/${kept.id}?do=lay`);
  };
  const begin = async (chosen: string | null) => {
    if (chosen?.startsWith('weeks ')) return beginWeeks(chosen.slice(6));
    const one = unplanned.find(({ term, track }) => `new ${term.id} ${track.id}` === chosen);
    if (!one) return navigate(`/term/${chosen}`);
    const plan: TermPlan = {
      id: `${one.term.id}-${one.track.id}`.slice(0, 60),
      term: one.term.id,
      track: one.track.id,
      fresh: 2,
      minutes: 0,
      goals: [],
      placed: [],
    };
    const kept = await edit.save({
      place: 'plans',
      body: plan,
      tag: null,
      done: `${one.track.name} has a plan. Choose what is taught.`,
    });
    if (kept) navigate(`/term/${kept.id}?do=goals`);
  };
  const groups = [
    {
      group: 'Plans of a term',
      items: lines.map((one) => ({ value: one.id, label: `${nameOf(one.track)} · ${termOf(one.term)}` })),
    },
    {
      group: 'Theme weeks',
      items: cycles.map((one) => ({
        value: `cycles/${one.id}`,
        label: `${nameOf(one.track)} · theme weeks`,
      })),
    },
    {
      group: 'Not planned yet',
      items: mayWrite
        ? [
            ...unplanned.map(({ term, track }) => ({
              value: `new ${term.id} ${track.id}`,
              label: `Plan ${track.name} · ${term.name}`,
            })),
            ...tracks
              .filter((track) => !cycles.some((cycle) => cycle.track === track.id))
              .map((track) => ({
                value: `weeks ${track.id}`,
                label: `Theme weeks for ${track.name}`,
              })),
          ]
        : [],
    },
  ];
  return (
    <Select
      aria-label="Plan"
      placeholder="Choose a track"
      allowDeselect={false}
      w={{ base: 170, sm: 250 }}
      value={value}
      data={groups.filter((group) => group.items.length > 0)}
      onChange={begin}
    />
  );
}

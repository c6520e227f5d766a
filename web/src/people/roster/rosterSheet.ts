import type { LadderView, RosterRow, Track } from '../../api/types';
import { ageOn, isMet, missing } from '../../promote/missing';
import { VERDICT } from '../../ui/words';

type Cell = string | number | null;

const HEAD = [
  'Name',
  'Called',
  'Born',
  'Age',
  'Weight (kg)',
  'Weighed',
  'Height (cm)',
  'Belt size',
  'Tracks',
  'Rank',
  'Stripes',
  'Since',
  'Last seen',
  'Next rank',
  'Missing',
  'Member until',
];

/** The list as it is filtered, with what the roster shows of each; nothing about health, no notes, no contacts. */
export const rosterSheet = (
  rows: RosterRow[],
  views: LadderView[],
  tracks: Track[],
  today: string,
): Cell[][] => [HEAD, ...rows.map((row) => line(row, views, tracks, today))];

function line(row: RosterRow, views: LadderView[], tracks: Track[], today: string): Cell[] {
  const { student, readiness } = row;
  const held = row.ranks[0];
  const rank = views.find((v) => v.ladder.id === held?.ladder)?.ladder.ranks.find((r) => r.id === held?.rank);
  return [
    student.name,
    student.calledBy,
    student.born,
    student.born ? ageOn(student.born, today) : null,
    student.weightKg,
    student.weighed,
    student.heightCm,
    student.beltSize,
    student.tracks.map((id) => tracks.find((track) => track.id === id)?.name ?? id).join(', '),
    rank?.name ?? null,
    held?.stripes ?? null,
    held?.since ?? null,
    row.lastSeen,
    readiness ? (readiness.nextRank ? VERDICT[readiness.verdict] : 'Top of the ladder') : null,
    readiness?.nextRank && !isMet(readiness) ? missing(readiness) : null,
    student.memberUntil,
  ];
}

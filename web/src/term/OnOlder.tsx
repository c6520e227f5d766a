import { Link } from 'react-router';
import { useLadders, useVersions } from '../api/ladders';
import type { Ladder } from '../api/types';
import { count } from '../ui/words';

/** The plan teaches what is asked now; who is still asked what was asked before is said beside it. */
export function OnOlder({ track }: { track: string }) {
  const ladders = useLadders().data ?? [];
  return ladders
    .map((view) => view.ladder)
    .filter((ladder) => ladder.earlier.length > 0)
    .filter((ladder) => ladder.tracks.length === 0 || ladder.tracks.includes(track))
    .map((ladder) => <OfLadder key={ladder.id} ladder={ladder} />);
}

function OfLadder({ ladder }: { ladder: Ladder }) {
  const [, ...earlier] = useVersions(ladder.id).data ?? [];
  const people = earlier.reduce((sum, one) => sum + one.people, 0);
  if (people === 0) return null;
  return (
    <p className="quiet">
      The plan teaches what {ladder.name} asks now.{' '}
      {count(people, 'student still stands', 'students still stand')} on what it asked before.{' '}
      <Link to={`/ranks/${ladder.id}/versions`}>Versions</Link>
    </p>
  );
}

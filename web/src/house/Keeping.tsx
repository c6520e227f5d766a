import { Select } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { type Problem, send } from '../api/client';
import { useKeeping } from '../api/keeping';
import type { Keeping as Kept } from '../api/types';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { count, date } from '../ui/words';

const YEARS = [1, 2, 3, 5, 7, 10, 15, 20, 30];

/** How long people who left are kept, and whose time is up. Nobody is erased but by hand. */
export function Keeping() {
  const keeping = useKeeping();
  return <Loaded query={keeping}>{(kept) => <Said kept={kept} />}</Loaded>;
}

function Said({ kept }: { kept: Kept }) {
  const client = useQueryClient();
  const say = useNotices();
  const set = useMutation<Kept, Problem, number | null>({
    mutationFn: (years) => send('PUT', '/keeping', { years }),
    onSuccess: (after) => {
      client.setQueryData(['keeping'], after);
      say.done(
        after.years === null
          ? 'Nobody is due any more.'
          : after.due.length === 0
            ? 'Kept. Nobody is due.'
            : `Kept. ${count(after.due.length, 'person is', 'people are')} due.`,
      );
    },
    onError: (error) => say.failed(error),
  });
  const all = [...new Set([...YEARS, ...(kept.years ? [kept.years] : [])])].sort((a, b) => a - b);
  return (
    <section aria-label="People who left">
      <h2>People who left</h2>
      <p>
        What is known of somebody is kept for as long as the club needs it, and not for ever. Local law may
        say how long; incidents and memberships are often kept longer than lists. Who is due stands here; each
        is erased by hand on their own page.
      </p>
      <Select
        label="Kept after they left"
        w={260}
        data={[
          { value: '', label: 'The club has not said' },
          ...all.map((years) => ({ value: String(years), label: count(years, 'year', 'years') })),
        ]}
        allowDeselect={false}
        value={kept.years === null ? '' : String(kept.years)}
        onChange={(years) => set.mutate(years ? Number(years) : null)}
      />
      {kept.years !== null &&
        (kept.due.length === 0 ? (
          <p className="quiet">Nobody is due.</p>
        ) : (
          <ul>
            {kept.due.map((due) => (
              <li key={due.id}>
                <Link to={`/people/${due.id}/data`}>{due.name}</Link>{' '}
                <span className="quiet">
                  {due.guest ? 'a guest, last here' : 'left'} {date(due.since)}
                </span>
              </li>
            ))}
          </ul>
        ))}
    </section>
  );
}

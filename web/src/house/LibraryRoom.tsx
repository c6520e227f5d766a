import { Button, Checkbox } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Problem, read, send } from '../api/client';
import type { Difference } from '../api/types';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { count } from '../ui/words';
import classes from './Exchange.module.css';
import house from './HousePage.module.css';

const WHO: Record<Difference['who'], string> = {
  NEW: 'new',
  LIBRARY: 'changed in the library',
  CLUB: 'changed by you; the library has not changed it',
  BOTH: 'changed by you and in the library; taking it gives up yours',
  GONE: 'no longer in the library; ticked, it is taken out here too',
};
const PARTS: Record<string, string> = {
  pairs: 'Positions',
  techniques: 'Techniques',
  links: 'Links',
  reactions: 'Reactions',
  rulesets: 'Rulesets',
  chains: 'Chains',
  ladders: 'Ladders',
  words: 'Words',
  drills: 'Drills',
};

/** What the shipped library has that the club has not; the coach ticks what is taken. */
export function LibraryRoom() {
  const library = useQuery<Difference[], Problem>({ queryKey: ['library'], queryFn: () => read('/library') });
  return (
    <section>
      <h2>The library that came with Lynchet</h2>
      <p>
        What it has that your club has not, and what differs. Nothing you changed is touched unless you tick
        it.
      </p>
      <Loaded query={library}>{(differences) => <Differences differences={differences} />}</Loaded>
    </section>
  );
}

function Differences({ differences }: { differences: Difference[] }) {
  const client = useQueryClient();
  const say = useNotices();
  const [ticked, setTicked] = useState<Set<string>>(new Set());
  const taking = useMutation<Difference[], Problem, string[]>({
    mutationFn: (keys) => send('POST', '/library', { keys }),
    onSuccess: async (left, keys) => {
      client.setQueryData(['library'], left);
      await client.invalidateQueries();
      setTicked(new Set());
      say.done(`${count(keys.length, 'thing', 'things')} as the library has it now.`);
    },
    onError: (error) => say.failed(error),
  });
  if (differences.length === 0) return <p>Your club has everything the library has, as it is there.</p>;
  const easy = differences
    .filter((d) => d.who === 'NEW' || d.who === 'LIBRARY' || d.who === 'GONE')
    .map((d) => d.key);
  const parts = [...new Set(differences.map((d) => d.part))];
  const tick = (key: string, on: boolean) =>
    setTicked((before) => {
      const next = new Set(before);
      if (on) next.add(key);
      else next.delete(key);
      return next;
    });
  return (
    <div className={classes.parts}>
      <div className={house.row}>
        <Button
          disabled={ticked.size === 0}
          loading={taking.isPending}
          onClick={() => taking.mutate([...ticked])}
        >
          {ticked.size === 0 ? 'Tick what to take' : `Take ${count(ticked.size, 'thing', 'things')}`}
        </Button>
        {easy.length > 0 && (
          <Button variant="default" onClick={() => setTicked(new Set(easy))}>
            Tick all {easy.length} that you did not change
          </Button>
        )}
      </div>
      {parts.map((part) => (
        <div key={part}>
          <h3>{PARTS[part] ?? part}</h3>
          <ul>
            {differences
              .filter((d) => d.part === part)
              .map((d) => (
                <li key={d.key}>
                  <Checkbox
                    label={d.name}
                    checked={ticked.has(d.key)}
                    onChange={(event) => tick(d.key, event.currentTarget.checked)}
                  />
                  <span className="quiet">{WHO[d.who]}</span>
                </li>
              ))}
          </ul>
        </div>
      ))}
    </div>
  );
}

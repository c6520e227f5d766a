import { Button, Checkbox } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Problem, read, send } from '../api/client';
import type { Difference, LibraryTouches } from '../api/types';
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
        it; what a thing you take needs comes along.
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
  const tick = (keys: string[]) => setTicked((before) => new Set([...before, ...keys]));
  const shown = groups(differences);
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
      </div>
      {shown.map(({ title, about, differences: here }) => {
        const easy = here.filter(isEasy).map((d) => d.key);
        return (
          <div key={title}>
            <h3>{title}</h3>
            {about && <p className="quiet">{about}</p>}
            {easy.length > 1 && (
              <Button variant="default" size="compact-sm" onClick={() => tick(easy)}>
                Tick all {easy.length} that you did not change
              </Button>
            )}
            <ul>
              {here.map((d) => (
                <li key={d.key}>
                  <Checkbox
                    label={d.name}
                    checked={ticked.has(d.key)}
                    onChange={(event) => {
                      const on = event.currentTarget.checked;
                      setTicked(
                        (before) => new Set([...before].filter((k) => k !== d.key).concat(on ? [d.key] : [])),
                      );
                    }}
                  />
                  <span className="quiet">{WHO[d.who]}</span>
                  {d.says.map((sentence) => (
                    <p key={sentence}>{sentence}</p>
                  ))}
                  {ticked.has(d.key) && rankOf(d) && <Touches {...rankOf(d)} />}
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </div>
  );
}

const isEasy = (d: Difference) => d.who === 'NEW' || d.who === 'LIBRARY' || d.who === 'GONE';

type Group = { title: string; about?: string; differences: Difference[] };

/** What bears on safety first, then part by part; a ladder last, since it touches people. */
export function groups(differences: Difference[]): Group[] {
  const rest = differences.filter((d) => !d.safety);
  const parts = Object.entries(PARTS).map(([part, title]) => ({
    title,
    about: part === 'ladders' ? 'Rank by rank. Tick one to see whom it touches.' : undefined,
    differences: rest.filter((d) => d.part === part),
  }));
  return [
    {
      title: 'Safety first',
      about: 'Cautions, ages and what is legal for whom.',
      differences: differences.filter((d) => d.safety),
    },
    ...parts,
  ].filter((group) => group.differences.length > 0);
}

const rankOf = (d: Difference) => {
  const [ladder, rank] = d.part === 'ladders' ? d.id.split('/') : [];
  return rank ? { ladder, rank } : undefined;
};

/** Who lacks more, and who less, once the rank asks for what the library asks for. */
function Touches({ ladder = '', rank = '' }: { ladder?: string; rank?: string }) {
  const touches = useQuery<LibraryTouches, Problem>({
    queryKey: ['library', 'touched', ladder, rank],
    queryFn: () => read(`/library/touched?ladder=${ladder}&rank=${rank}`),
  });
  return (
    <Loaded query={touches}>
      {({ wear, lackMore, lackLess }) => (
        <p>
          {wear === 0 && 'Nobody wears it now.'}
          {wear > 0 && lackMore.length + lackLess.length === 0 && (
            <>{count(wear, 'student wears', 'students wear')} it; nothing changes for them.</>
          )}
          {lackMore.length > 0 && (
            <>
              {lackMore.length} of {wear} who wear it would lack something more: {names(lackMore)}.{' '}
            </>
          )}
          {lackLess.length > 0 && (
            <>
              {lackLess.length} of {wear} would no longer lack something: {names(lackLess)}.
            </>
          )}
        </p>
      )}
    </Loaded>
  );
}

const names = (people: { name: string }[]) =>
  people.length > 12
    ? `${people
        .slice(0, 10)
        .map((p) => p.name)
        .join(', ')} and ${people.length - 10} more`
    : people.map((p) => p.name).join(', ');

import { Button, Select } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Problem, send } from '../../api/client';
import type { MapIndex } from '../../api/map';
import type { Merged, Technique } from '../../api/types';
import edit from '../../form/Edit.module.css';
import { Refused } from '../../form/Refused';
import { useEdit } from '../../form/useEdit';
import { count } from '../../ui/words';
import classes from './TechniquePage.module.css';

type Props = { map: MapIndex; technique: Technique; onDone: (into: string) => void; onCancel: () => void };

const KINDS: Record<string, [string, string]> = {
  technique: ['technique', 'techniques'],
  link: ['link', 'links'],
  reaction: ['reaction', 'reactions'],
  ruleset: ['ruleset', 'rulesets'],
  chain: ['chain', 'chains'],
  ladder: ['ladder', 'ladders'],
  word: ['word', 'words'],
  drill: ['drill', 'drills'],
  class: ['class', 'classes'],
  practice: ['practice entry', 'practice entries'],
  mark: ['mark', 'marks'],
  round: ['round', 'rounds'],
  gap: ['decision to leave a gap', 'decisions to leave gaps'],
};

/** Two cards for the same thing become one. What would follow is said before it is done. */
export function MergeForm({ map, technique, onDone, onCancel }: Props) {
  const [into, setInto] = useState<string | null>(null);
  const work = useEdit();
  const look = useQuery<Merged, Problem>({
    queryKey: ['map', 'merge', technique.id, into],
    queryFn: () => send('POST', `/map/techniques/${technique.id}/merge?look=true`, { into }),
    enabled: into !== null,
    retry: false,
    gcTime: 0,
  });
  const stays = into ? map.technique.get(into)?.name : '';
  const options = map.data.techniques
    .filter((t) => t.id !== technique.id && !t.retired && t.family === technique.family)
    .map((t) => ({ value: t.id, label: t.name }))
    .sort((a, b) => a.label.localeCompare(b.label));
  const merge = async () => {
    if (into && (await work.merge(technique.id, into, `${technique.name} is now ${stays}.`))) onDone(into);
  };
  return (
    <section className={`${edit.form} ${classes.narrow}`} aria-label="Merge">
      <h2>Is {technique.name} the same as another one?</h2>
      <p>
        The other one stays and takes over its names, faults, versions and cautions. Every chain, syllabus and
        record follows. This card is kept, retired, for history.
      </p>
      <Select label="The one that stays" searchable data={options} value={into} onChange={setInto} />
      {look.data && (
        <div>
          <strong>This would follow:</strong>
          <ul>
            {Object.entries(look.data.changed).map(([kind, n]) => (
              <li key={kind}>{count(n, ...(KINDS[kind] ?? [kind, kind]))}</li>
            ))}
          </ul>
        </div>
      )}
      <Refused
        problem={work.problem ?? look.error}
        mine={technique}
        onMine={() => undefined}
        onTheirs={() => undefined}
      />
      <div className={edit.buttons}>
        <Button disabled={!look.data} loading={work.saving} onClick={merge}>
          {into ? `Merge into ${stays}` : 'Merge'}
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </section>
  );
}

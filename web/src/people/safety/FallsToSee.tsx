import { Button } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../api/client';
import type { Mark, Unseen } from '../../api/types';
import { useRecord } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import classes from './FallsToSee.module.css';

type Props = {
  unseen: Unseen[];
  /** One person, who is named above already. */
  isAlone?: boolean;
};

/** Falls that people came with and nobody here has seen: one touch of a coach who saw it. */
export function FallsToSee({ unseen, isAlone }: Props) {
  const record = useRecord();
  const say = useNotices();
  const client = useQueryClient();
  const [judged, setJudged] = useState<ReadonlySet<string>>(new Set());
  const see = async (who: Unseen, falls: Unseen['falls'], passed: boolean) => {
    for (const fall of falls) {
      const body: Partial<Mark> = {
        id: newId('m'),
        student: who.student,
        subject: fall.id,
        role: 'PERFORMER',
        side: 'BOTH',
        standard: 'SHOWN',
        passed,
        faults: [],
      };
      const says = `${who.name}, ${fall.name.toLowerCase()}: ${passed ? 'seen' : 'not yet'}`;
      try {
        await record({ kind: 'mark', body: body as Mark }, says);
        say.done(`${says}.`);
        setJudged((before) => new Set(before).add(`${who.student} ${fall.id}`));
      } catch (error) {
        say.failed(error);
        return;
      }
    }
    void client.invalidateQueries({ queryKey: ['people', 'falls'] });
  };
  const left = unseen
    .map((who) => ({ ...who, falls: who.falls.filter((fall) => !judged.has(`${who.student} ${fall.id}`)) }))
    .filter((who) => who.falls.length > 0);
  return (
    <ul className={classes.people} aria-label="Falls not yet seen here">
      {left.map((who) => (
        <li key={who.student}>
          <p className={classes.who}>
            {isAlone ? (
              <strong>Falls not yet seen here</strong>
            ) : (
              <Link to={`/people/${who.student}`}>{who.name}</Link>
            )}{' '}
            <span className="quiet">
              {who.junior
                ? 'not thrown at all before somebody has seen them'
                : 'lowered, crash mat and careful throws until then'}
            </span>
          </p>
          <ul className={classes.falls}>
            {who.falls.map((fall) => (
              <li key={fall.id}>
                <span>{fall.name}</span>
                <Button size="md" variant="default" onClick={() => see(who, [fall], true)}>
                  Seen
                </Button>
                <Button size="md" variant="subtle" onClick={() => see(who, [fall], false)}>
                  Not yet
                </Button>
              </li>
            ))}
          </ul>
          {who.falls.length > 1 && !who.junior && (
            <Button size="compact-md" variant="subtle" onClick={() => see(who, who.falls, true)}>
              Seen all {who.falls.length}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

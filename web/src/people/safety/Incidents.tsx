import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId, send } from '../../api/client';
import { useIncidents } from '../../api/keeping';
import { useToday } from '../../api/mat';
import { useNames } from '../../api/people';
import type { Incident, Student } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { useNotices } from '../../ui/Notices';
import { Loaded } from '../../ui/States';
import { date } from '../../ui/words';
import { IncidentForm } from './IncidentForm';
import classes from './Incidents.module.css';
import { OUTCOMES, titleOf } from './incident';

/** An incident of which nothing is known yet. */
export const begun = (student: string, on: string): Incident => ({
  id: newId('inc'),
  student,
  partner: null,
  classId: null,
  on,
  time: null,
  kind: 'INJURY',
  part: null,
  what: '',
  done: '',
  seenBy: null,
  outcome: null,
  at: null,
  by: null,
});

/** What happened to them on the mat, each with its sheet; a new one is written down here. Coaches only. */
export function Incidents({ student }: { student: Student }) {
  const incidents = useIncidents({ student: student.id });
  const people = useNames();
  const today = useToday();
  const [adding, setAdding] = useState<Incident | null>(null);
  const [sending, setSending] = useState(false);
  const say = useNotices();
  const changed = useChanged();
  const keep = async (incident: Incident) => {
    setSending(true);
    try {
      await send('POST', '/incidents', { incident });
      await changed('incident');
      say.done(
        incident.kind === 'HEAD_KNOCK'
          ? `Written down. ${student.calledBy} does nothing live and takes no throws until cleared.`
          : 'Written down. Its sheet can be printed.',
      );
      setAdding(null);
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  return (
    <section aria-label="Incidents">
      <h2>Incidents</h2>
      <Loaded query={incidents}>
        {(all) =>
          all.length === 0 ? (
            <p className="quiet">Nothing has happened that was written down.</p>
          ) : (
            <ul className={classes.list}>
              {all.map(({ incident }) => (
                <li key={incident.id}>
                  <Link to={`/people/incidents/${incident.id}`}>{titleOf(incident)}</Link>
                  <span className="quiet">
                    {' '}
                    {date(incident.on)}
                    {incident.outcome && `, ${OUTCOMES[incident.outcome].toLowerCase()}`}
                  </span>
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
      {adding ? (
        <IncidentForm
          first={adding}
          people={people.data ?? []}
          sending={sending}
          onDone={keep}
          onCancel={() => setAdding(null)}
        />
      ) : (
        <Button variant="default" size="compact-md" onClick={() => setAdding(begun(student.id, today))}>
          Write down what happened
        </Button>
      )}
    </section>
  );
}

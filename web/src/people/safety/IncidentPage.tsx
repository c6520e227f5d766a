import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { send } from '../../api/client';
import { useWelcome } from '../../api/club';
import { useIncident } from '../../api/keeping';
import { useCalendar } from '../../api/mat';
import { useNames } from '../../api/people';
import type { Incident, IncidentSheet } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { PageHead } from '../../frame/PageHead';
import { ageOn } from '../../promote/missing';
import { useWho } from '../../ui/coaches';
import { useNotices } from '../../ui/Notices';
import { PrintFoot } from '../../ui/PrintFoot';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { date, moment, time } from '../../ui/words';
import { IncidentForm } from './IncidentForm';
import classes from './Incidents.module.css';
import { lacks, OUTCOMES, titleOf } from './incident';
import { KINDS as LIMITS } from './limitKinds';

/** What happened, as a sheet for the insurer; what is still missing is said above it, and not printed. */
export function IncidentPage() {
  const { id = '' } = useParams();
  const incident = useIncident(id);
  const people = useNames();
  const [changing, setChanging] = useState(false);
  const [sending, setSending] = useState(false);
  const say = useNotices();
  const changed = useChanged();
  const keep = async (after: Incident, tag: string) => {
    setSending(true);
    try {
      await send('PUT', `/incidents/${id}`, after, tag);
      await changed('incident');
      say.done('Kept.');
      setChanging(false);
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  return (
    <Loaded query={incident}>
      {({ value, tag }) => (
        <>
          <PageHead title={value.student.name} print={false}>
            <Button onClick={() => window.print()}>Print, or save as PDF</Button>
            {!changing && (
              <Button variant="default" onClick={() => setChanging(true)}>
                Complete it
              </Button>
            )}
            <Link to={`/people/${value.student.id}?tab=trail`}>Back to the student</Link>
          </PageHead>
          <Scroll label="Incident" className={classes.body}>
            {changing ? (
              <IncidentForm
                first={value.incident}
                people={people.data ?? []}
                sending={sending}
                onDone={(after) => keep(after, tag)}
                onCancel={() => setChanging(false)}
              />
            ) : (
              <>
                {lacks(value.incident).length > 0 && (
                  <p className={classes.lacks} data-no-print>
                    An insurer will ask for {lacks(value.incident).join(', ')}.
                  </p>
                )}
                <Sheet sheet={value} />
              </>
            )}
          </Scroll>
        </>
      )}
    </Loaded>
  );
}

function Sheet({ sheet }: { sheet: IncidentSheet }) {
  const who = useWho();
  const { incident, student, training, limits, partner } = sheet;
  const club = useWelcome().data?.club;
  const track = useCalendar().data?.tracks.find((one) => one.id === training?.track)?.name;
  const { contacts } = student;
  return (
    <article className={classes.sheet}>
      <h2>{titleOf(incident)}</h2>
      <p>
        {club} · {date(incident.on)}
        {incident.time && `, about ${time(incident.time)}`}
      </p>
      <dl>
        <Line name="Hurt">
          {student.name}
          {student.born && `, born ${date(student.born)} (${ageOn(student.born, incident.on)} then)`}
        </Line>
        <Line name="Member until">
          {student.memberUntil ? date(student.memberUntil) : 'not written down'}
        </Line>
        {contacts?.guardian && (
          <Line name="Guardian">
            {[contacts.guardian, contacts.guardianPhone].filter(Boolean).join(', ')}
          </Line>
        )}
        {contacts?.emergency && (
          <Line name="In an emergency">
            {[contacts.emergency, contacts.emergencyPhone].filter(Boolean).join(', ')}
          </Line>
        )}
        <Line name="With">{partner ?? 'nobody, or not known'}</Line>
        <Line name="Where">
          {training
            ? [
                track,
                time(training.start),
                training.area,
                training.coach && `given by ${who(training.coach)}`,
              ]
                .filter(Boolean)
                .join(', ')
            : 'outside a class'}
        </Line>
        <Line name="Seen by">{incident.seenBy ?? '–'}</Line>
        <Line name="How they went on">{incident.outcome ? OUTCOMES[incident.outcome] : '–'}</Line>
      </dl>
      <h3>How it happened</h3>
      <p className={classes.said}>{incident.what || '–'}</p>
      <h3>What was done</h3>
      <p className={classes.said}>{incident.done || '–'}</p>
      {limits.length > 0 && (
        <>
          <h3>Since then</h3>
          <p>
            {limits
              .map(
                (limit) =>
                  `${LIMITS[limit.kind]} from ${date(limit.from)} ${limit.until ? `until ${date(limit.until)}` : 'until lifted'}`,
              )
              .join('; ')}
          </p>
        </>
      )}
      <p className="quiet">
        Written down {incident.at && moment(incident.at)}
        {incident.by && ` by ${incident.by}`}.
      </p>
      <div className={classes.signed}>
        <span>Day, coach</span>
        <span>Day, whoever was hurt or a guardian</span>
      </div>
      <PrintFoot />
    </article>
  );
}

function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </>
  );
}

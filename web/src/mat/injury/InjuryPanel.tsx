import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../api/client';
import { useToday } from '../../api/mat';
import { useCalls } from '../../api/pairs';
import type { Call, ClassSheet, Incident, Name } from '../../api/types';
import { useRecord } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { calledIn } from '../class/called';
import type { Pairing } from '../pair/usePairs';
import classes from './Injury.module.css';

type Props = { sheet: ClassSheet; people: Name[]; pairs: Pairing; onDone: () => void };
type Hurt = { student: string; kind: Incident['kind'] };

const clockTime = () => new Date().toTimeString().slice(0, 5);

/** Who is hurt, and what it is: then whom to call stands there, it is written down, and their partner works with others. */
export function InjuryPanel({ sheet, people, pairs, onDone }: Props) {
  const [who, setWho] = useState<string | null>(null);
  const [hurt, setHurt] = useState<Hurt | null>(null);
  const calls = useCalls(sheet.training.id).data;
  const record = useRecord();
  const say = useNotices();
  const today = useToday();
  const calledBy = calledIn(
    people,
    sheet.attendance.map((one) => one.student),
  );
  const happened = async (student: string, kind: Incident['kind']) => {
    setHurt({ student, kind });
    const partner = pairs.groups.find((group) => group.includes(student) && group.length === 2);
    const body = {
      id: newId('i'),
      student,
      classId: sheet.training.id,
      kind,
      on: today,
      time: clockTime(),
      partner: partner?.find((one) => one !== student) ?? null,
    };
    try {
      await record(
        { kind: 'incident', body },
        `${calledBy(student)}: ${kind === 'HEAD_KNOCK' ? 'head knock' : 'injury'}`,
      );
      await pairs.takeOut(student, true);
    } catch (error) {
      say.failed(error);
    }
  };
  if (hurt)
    return (
      <Whom
        call={calls?.find((one) => one.student === hurt.student)}
        name={people.find((one) => one.id === hurt.student)?.name ?? ''}
        hurt={hurt}
        onDone={onDone}
      />
    );
  return (
    <section className={classes.injury} aria-label="Injury">
      <h2>{who ? `What happened to ${calledBy(who)}?` : 'Who is hurt?'}</h2>
      {who ? (
        <div className={classes.kinds}>
          <Button size="xl" color="rowan" onClick={() => happened(who, 'INJURY')}>
            Injury
          </Button>
          <Button size="xl" color="rowan" onClick={() => happened(who, 'HEAD_KNOCK')}>
            Head knock
          </Button>
          <Button size="xl" variant="default" onClick={() => setWho(null)}>
            Somebody else
          </Button>
        </div>
      ) : (
        <ul className={classes.who}>
          {sheet.attendance.map(({ student }) => (
            <li key={student}>
              <button type="button" data-hurt={student} onClick={() => setWho(student)}>
                {calledBy(student)}
              </button>
            </li>
          ))}
        </ul>
      )}
      {sheet.attendance.length === 0 && <p>Nobody is down as here. Check them in first.</p>}
      <Button variant="subtle" size="md" onClick={onDone}>
        Back to the class
      </Button>
    </section>
  );
}

function Whom({ call, name, hurt, onDone }: { call?: Call; name: string; hurt: Hurt; onDone: () => void }) {
  const numbers = [
    { who: call?.emergency ?? 'Emergency contact', number: call?.emergencyPhone },
    { who: call?.guardian ?? 'Guardian', number: call?.guardianPhone },
  ].filter((one): one is { who: string; number: string } => Boolean(one.number));
  return (
    <section className={classes.injury} aria-label="Whom to call">
      <h2>{name}</h2>
      {numbers.map(({ who, number }) => (
        <p key={who} className={classes.call}>
          <span>{who}</span>
          <a href={`tel:${number.replace(/[^+\d]/g, '')}`}>{number}</a>
        </p>
      ))}
      {numbers.length === 0 && <p className={classes.none}>No number to call is kept for them.</p>}
      {hurt.kind === 'HEAD_KNOCK' && (
        <p className={classes.knock}>
          A suspected concussion: they stop for today. No live and no throws until the head coach writes down
          which medical professional cleared them.
        </p>
      )}
      <p>
        It is written down; the rest can be said afterwards. First aid and what follows belong to qualified
        people.
      </p>
      <div className={classes.kinds}>
        <Button size="lg" onClick={onDone}>
          Back to the class
        </Button>
        <Button component={Link} to={`/people/${hurt.student}`} size="lg" variant="default">
          Their page
        </Button>
      </div>
    </section>
  );
}

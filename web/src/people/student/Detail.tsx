import { Button } from '@mantine/core';
import { newId } from '../../api/client';
import { useSession } from '../../api/club';
import { useToday } from '../../api/mat';
import { useMemory } from '../../api/people';
import type { ItemProgress, Mark, MemoryView, Student } from '../../api/types';
import { Judge, type Subject } from '../../record/Judge';
import { useRecord } from '../../record/Recording';
import { useWho } from '../../ui/coaches';
import { nth } from '../../ui/lists';
import { useNotices } from '../../ui/Notices';
import { Loaded } from '../../ui/States';
import { count, date, plain } from '../../ui/words';
import { CreditLine } from './CreditLine';
import { Curve } from './Curve';
import classes from './Detail.module.css';

type Props = { student: Student; subject: Subject; item?: ItemProgress };

/** What stands behind one line: how it is remembered, every mark, and a new one. */
export function Detail({ student, subject, item }: Props) {
  const memory = useMemory(student.id, subject.id);
  const mayMark = useSession().data?.role !== 'VIEWER';
  const asked = item?.item;
  const isMarked = asked && asked.standard !== 'INTRODUCED' && asked.standard !== 'DRILLED';
  return (
    <div className={classes.detail}>
      <Loaded query={memory}>
        {(view) => <Known student={student} subject={subject} view={view} mayMark={mayMark} />}
      </Loaded>
      {mayMark && (
        <section className={classes.judge} aria-label={`Judge ${subject.name}`}>
          <Judge
            student={student}
            subject={subject}
            version={asked?.version}
            first={{
              role: asked?.role,
              standard: isMarked ? asked.standard : 'SHOWN',
              side: lacking(item),
            }}
          />
        </section>
      )}
    </div>
  );
}

/** The one side that is still missing, where it is one. */
function lacking(item: ItemProgress | undefined): Mark['side'] {
  const short = item?.onSides.filter((one) => one.have !== item.item.standard) ?? [];
  return short.length === 1 ? nth(short, 0).side : 'BOTH';
}

/** How much was done on each side, and taken as the receiver. */
function Balance({ view, sided }: { view: MemoryView; sided: boolean }) {
  const done = view.memory.map((side) => ({
    side: side.side,
    reps: side.days.reduce((sum, day) => sum + day.done.wholeReps + day.done.partReps, 0),
  }));
  const most = Math.max(...done.map((one) => one.reps), 0);
  if (most === 0 && view.received === 0) return null;
  return (
    <div className={classes.balance}>
      {sided &&
        done.map((one) => (
          <div key={one.side}>
            <span>{plain(one.side)}</span>
            <span className={classes.bar} style={{ width: `${(100 * one.reps) / Math.max(most, 1)}%` }} />
            <span>{count(one.reps, 'rep', 'reps')}</span>
          </div>
        ))}
      {!sided && most > 0 && <div>{count(most, 'rep', 'reps')}</div>}
      {view.received > 0 && (
        <div className="quiet">{count(view.received, 'rep', 'reps')} taken as receiver</div>
      )}
    </div>
  );
}

function Known({
  student,
  subject,
  view,
  mayMark,
}: {
  student: Student;
  subject: Subject;
  view: MemoryView;
  mayMark: boolean;
}) {
  const now = useToday();
  const who = useWho();
  const record = useRecord();
  const say = useNotices();
  const takenBack = new Set(view.marks.flatMap((mark) => mark.withdraws ?? []));
  const marks = view.marks.filter((mark) => !mark.withdraws).reverse();
  const practised = view.memory.some((side) => side.brought || side.days.some((day) => day.counts));
  const withdraw = (mark: Mark) => {
    const says = `${student.calledBy}, ${subject.name}: ${mark.passed ? 'pass' : 'not yet'} taken back`;
    const back = { ...mark, id: newId('m'), passed: false, faults: [], withdraws: mark.id, at: undefined };
    record({ kind: 'mark', body: back }, says)
      .then(() => say.done(`${says}.`))
      .catch(say.failed);
  };
  return (
    <section aria-label={`Behind ${subject.name}`}>
      {practised ? (
        <Curve memory={view.memory} today={now} />
      ) : (
        <p className="quiet">No practice is logged, so nothing is said of how fresh it is.</p>
      )}
      {marks.length > 0 && (
        <ul className={classes.marks}>
          {marks.map((mark) => (
            <li key={mark.id} className={takenBack.has(mark.id) ? classes.back : undefined}>
              <span>
                <strong>{mark.passed ? 'Pass' : 'Not yet'}</strong>, {plain(mark.standard).toLowerCase()}
                {mark.side !== 'BOTH' && `, ${mark.side.toLowerCase()}`}
                {mark.role === 'RECEIVER' && ', as receiver'}
                <span className="quiet">
                  {' '}
                  {[date(mark.at), who(mark.by)].filter(Boolean).join(', ')}
                  {takenBack.has(mark.id) && ', taken back'}
                </span>
                {mark.faults.length > 0 && (
                  <div className="quiet">
                    {mark.faults
                      .map((id) => subject.faults.find((f) => f.id === id)?.see ?? plain(id))
                      .join(' · ')}
                  </div>
                )}
              </span>
              {mayMark && !takenBack.has(mark.id) && (
                <Button variant="subtle" size="compact-sm" onClick={() => withdraw(mark)}>
                  Take back
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      <Balance view={view} sided={subject.sided} />
      {view.memory.map((side) => (
        <details key={side.side}>
          <summary>
            {count(side.days.length, 'day', 'days')} of practice, {side.side.toLowerCase()}
          </summary>
          <ul className={classes.days}>
            {side.days
              .slice()
              .reverse()
              .map((day) => (
                <li key={day.done.day} className={day.counts ? undefined : 'quiet'}>
                  {date(day.done.day)}:{' '}
                  {[
                    day.done.wholeReps > 0 && count(day.done.wholeReps, 'rep', 'reps'),
                    day.done.partReps > 0 && `${count(day.done.partReps, 'rep', 'reps')} of a part`,
                    day.done.marks > 0 && count(day.done.marks, 'mark', 'marks'),
                    day.done.success && 'worked in a round',
                  ]
                    .filter(Boolean)
                    .join(', ')}
                  {!day.counts && ', too little for a session'}
                </li>
              ))}
          </ul>
        </details>
      ))}
      {mayMark && <CreditLine student={student} subject={subject} credits={view.credits} />}
    </section>
  );
}

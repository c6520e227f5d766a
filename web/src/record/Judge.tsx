import { Button } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { newId } from '../api/client';
import type { Mark, Technique } from '../api/types';
import { useNotices } from '../ui/Notices';
import classes from './Judge.module.css';
import { useRecord } from './Recording';

/** What is judged: a technique, or anything else that a rank asks for. */
export type Subject = { id: string; name: string; sided: boolean; faults: Technique['faults'] };

type Standard = Mark['standard'];
type Props = {
  student: { id: string; calledBy: string };
  subject: Subject;
  version?: string | null;
  /** The class in which it was seen; left out: outside any class. */
  classId?: string;
  first?: { side?: Mark['side']; role?: Mark['role']; standard?: Standard };
};

const STANDARDS = { SHOWN: 'Shown', MOVING: 'Moving', LIVE: 'Live' } as const;
const SIDES = { BOTH: 'Both sides', RIGHT: 'Right', LEFT: 'Left' } as const;
const ROLES = { PERFORMER: 'Performer', RECEIVER: 'Receiver' } as const;

/** Pass or not yet, with the faults seen; side, role and standard stay as they are from one technique and one person to the next. */
export function Judge({ student, subject, version, classId, first = {} }: Props) {
  const [side, setSide] = useState<Mark['side']>(first.side ?? 'BOTH');
  const [role, setRole] = useState<Mark['role']>(first.role ?? 'PERFORMER');
  const [standard, setStandard] = useState<Standard>(first.standard ?? 'SHOWN');
  const [seen, setSeen] = useState<{ of: string; faults: string[] }>({ of: '', faults: [] });
  const judged = `${student.id} ${subject.id}`;
  const record = useRecord();
  const say = useNotices();
  const faults = seen.of === judged ? seen.faults : [];
  const setFaults = (all: string[]) => setSeen({ of: judged, faults: all });

  const mark = async (passed: boolean) => {
    const body = {
      id: newId('m'),
      student: student.id,
      subject: subject.id,
      role,
      side: subject.sided ? side : 'BOTH',
      version: version ?? undefined,
      standard,
      passed,
      faults: passed ? [] : faults,
      classId,
    };
    const says = `${student.calledBy}, ${subject.name}: ${passed ? 'pass' : 'not yet'}`;
    try {
      await record({ kind: 'mark', body }, says);
      setFaults([]);
      say.done(`${says}.`, () => {
        const back = { ...body, id: newId('m'), passed: false, faults: [], withdraws: body.id };
        record({ kind: 'mark', body: back }, `${says}, taken back`, body.id).catch(say.failed);
      });
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <>
      {subject.sided && <Choose label="Side" from={SIDES} value={side} onChange={setSide} />}
      <Choose label="Role" from={ROLES} value={role} onChange={setRole} />
      <Choose label="Standard" from={STANDARDS} value={standard} onChange={setStandard} />
      {subject.faults.length > 0 && (
        <Choices label="Faults seen">
          {subject.faults.map((fault) => (
            <Choice
              key={fault.id}
              on={faults.includes(fault.id)}
              onClick={() =>
                setFaults(
                  faults.includes(fault.id) ? faults.filter((f) => f !== fault.id) : [...faults, fault.id],
                )
              }
            >
              {fault.see}
            </Choice>
          ))}
        </Choices>
      )}
      <div className={classes.verdict}>
        <Button size="lg" onClick={() => mark(true)} disabled={faults.length > 0}>
          Pass
        </Button>
        <Button size="lg" variant="default" onClick={() => mark(false)}>
          Not yet
        </Button>
      </div>
    </>
  );
}

function Choose<T extends string>({
  label,
  from,
  value,
  onChange,
}: {
  label: string;
  from: Partial<Record<T, string>>;
  value: T;
  onChange: (value: T) => void;
}) {
  return (
    <Choices label={label}>
      {(Object.entries(from) as [T, string][]).map(([one, word]) => (
        <Choice key={one} on={one === value} onClick={() => onChange(one)}>
          {word}
        </Choice>
      ))}
    </Choices>
  );
}

export function Choices({ label, children }: { label: string; children: ReactNode }) {
  return (
    <fieldset className={classes.part}>
      <legend className="quiet">{label}</legend>
      <div className={classes.choices}>{children}</div>
    </fieldset>
  );
}

export function Choice({ on, onClick, children }: { on: boolean; onClick: () => void; children: ReactNode }) {
  return (
    <button type="button" aria-pressed={on} onClick={onClick}>
      {children}
    </button>
  );
}

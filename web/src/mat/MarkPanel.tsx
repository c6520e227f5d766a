import { Button, Select } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { newId } from '../api/client';
import type { MapIndex } from '../api/queries';
import type { ClassSheet, Name } from '../api/types';
import { useRecord } from '../record/Recording';
import { useNotices } from '../ui/Notices';
import classes from './MatPage.module.css';

type Props = { map: MapIndex; sheet: ClassSheet; student?: Name };

const STANDARDS = { SHOWN: 'Shown', MOVING: 'Moving', LIVE: 'Live' } as const;
const SIDES = { BOTH: 'Both sides', RIGHT: 'Right', LEFT: 'Left' } as const;
const ROLES = { PERFORMER: 'Performer', RECEIVER: 'Receiver' } as const;

/** A quick mark: who, which technique of this class, pass or not yet with the faults seen. */
export function MarkPanel({ map, sheet, student }: Props) {
  const drilled = [...new Set(sheet.training.blocks.flatMap((b) => b.technique ?? []))];
  const [subject, setSubject] = useState(
    drilled.find((t) => map.technique.get(t)?.family !== 'BREAKFALL') ?? drilled[0] ?? '',
  );
  const [side, setSide] = useState<keyof typeof SIDES>('BOTH');
  const [role, setRole] = useState<keyof typeof ROLES>('PERFORMER');
  const [standard, setStandard] = useState<keyof typeof STANDARDS>('SHOWN');
  const [faults, setFaults] = useState<string[]>([]);
  const record = useRecord();
  const say = useNotices();
  const technique = map.technique.get(subject);
  if (!student) return <p className={classes.hint}>Tap the person you watched.</p>;
  const choose = (id: string) => {
    setSubject(id);
    setFaults([]);
  };
  const another = (
    <Select
      className={classes.another}
      aria-label="Another technique"
      placeholder="Another technique"
      searchable
      limit={60}
      data={map.data.techniques
        .filter((t) => !t.retired && !drilled.includes(t.id))
        .map((t) => ({ value: t.id, label: t.name }))}
      value={drilled.includes(subject) ? null : subject}
      onChange={(id) => id && choose(id)}
    />
  );
  if (!technique)
    return (
      <>
        <h2>{student.name}</h2>
        <p className={classes.hint}>Nothing is planned for this class. What did you watch?</p>
        {another}
      </>
    );
  const version = sheet.training.blocks.find((b) => b.technique === subject)?.version ?? undefined;

  const mark = async (passed: boolean) => {
    const body = {
      id: newId('m'),
      student: student.id,
      subject,
      role,
      side: technique.sided ? side : 'BOTH',
      version,
      standard,
      passed,
      faults: passed ? [] : faults,
      classId: sheet.training.id,
    };
    const says = `${student.calledBy}, ${technique.name}: ${passed ? 'pass' : 'not yet'}`;
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
      <h2>{student.name}</h2>
      <Choices label="Technique">
        {drilled.map((id) => (
          <Choice key={id} on={id === subject} onClick={() => choose(id)}>
            {map.technique.get(id)?.name}
          </Choice>
        ))}
      </Choices>
      {another}
      <Choices label="Side">
        {technique.sided &&
          Object.entries(SIDES).map(([value, label]) => (
            <Choice key={value} on={value === side} onClick={() => setSide(value as keyof typeof SIDES)}>
              {label}
            </Choice>
          ))}
      </Choices>
      <Choices label="Role">
        {Object.entries(ROLES).map(([value, label]) => (
          <Choice key={value} on={value === role} onClick={() => setRole(value as keyof typeof ROLES)}>
            {label}
          </Choice>
        ))}
      </Choices>
      <Choices label="Standard">
        {Object.entries(STANDARDS).map(([value, label]) => (
          <Choice
            key={value}
            on={value === standard}
            onClick={() => setStandard(value as keyof typeof STANDARDS)}
          >
            {label}
          </Choice>
        ))}
      </Choices>
      {version && <p className="quiet">Version: {technique.versions.find((v) => v.id === version)?.name}</p>}
      <Choices label="Faults seen">
        {technique.faults.map((fault) => (
          <Choice
            key={fault.id}
            on={faults.includes(fault.id)}
            onClick={() =>
              setFaults((all) =>
                all.includes(fault.id) ? all.filter((f) => f !== fault.id) : [...all, fault.id],
              )
            }
          >
            {fault.see}
          </Choice>
        ))}
      </Choices>
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

function Choices({ label, children }: { label: string; children: ReactNode }) {
  return (
    <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
      <legend className="quiet">{label}</legend>
      <div className={classes.choices}>{children}</div>
    </fieldset>
  );
}

function Choice({ on, onClick, children }: { on: boolean; onClick: () => void; children: ReactNode }) {
  return (
    <button type="button" aria-pressed={on} onClick={onClick}>
      {children}
    </button>
  );
}

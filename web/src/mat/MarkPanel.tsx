import { Select } from '@mantine/core';
import { useState } from 'react';
import type { MapIndex } from '../api/queries';
import type { ClassSheet, Name } from '../api/types';
import { Choice, Choices, Judge } from './Judge';
import classes from './MatPage.module.css';

type Props = { map: MapIndex; sheet: ClassSheet; student?: Name };

/** A quick mark: who, which technique of this class, pass or not yet with the faults seen. */
export function MarkPanel({ map, sheet, student }: Props) {
  const drilled = [...new Set(sheet.training.blocks.flatMap((b) => b.technique ?? []))];
  const [subject, setSubject] = useState(
    drilled.find((t) => map.technique.get(t)?.family !== 'BREAKFALL') ?? drilled[0] ?? '',
  );
  const technique = map.technique.get(subject);
  if (!student) return <p className={classes.hint}>Tap the person you watched.</p>;
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
      onChange={(id) => id && setSubject(id)}
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
  return (
    <>
      <h2>{student.name}</h2>
      <Choices label="Technique">
        {drilled.map((id) => (
          <Choice key={id} on={id === subject} onClick={() => setSubject(id)}>
            {map.technique.get(id)?.name}
          </Choice>
        ))}
      </Choices>
      {another}
      {version && <p className="quiet">Version: {technique.versions.find((v) => v.id === version)?.name}</p>}
      <Judge student={student} subject={technique} version={version} classId={sheet.training.id} />
    </>
  );
}

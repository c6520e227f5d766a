import { useState } from 'react';
import type { MapIndex } from '../../api/map';
import type { ClassSheet, Name } from '../../api/types';
import { Judge } from '../../record/Judge';
import classes from './MatPage.module.css';
import { drilledIn, firstOf, Techniques } from './Techniques';

type Props = { map: MapIndex; sheet: ClassSheet; student?: Name };

/** A quick mark: who, which technique of this class, pass or not yet with the faults seen. */
export function MarkPanel({ map, sheet, student }: Props) {
  const drilled = drilledIn(sheet.training);
  const [subject, setSubject] = useState(() => firstOf(drilled, map));
  const technique = map.technique.get(subject);
  if (!student) return <p className={classes.hint}>Tap the person you watched.</p>;
  const version = sheet.training.blocks.find((b) => b.technique === subject)?.version ?? undefined;
  return (
    <>
      <h2>{student.name}</h2>
      {!technique && <p className={classes.hint}>Nothing is planned for this class. What did you watch?</p>}
      <Techniques map={map} drilled={drilled} chosen={subject} onChoose={setSubject} />
      {technique && version && (
        <p className="quiet">Version: {technique.versions.find((v) => v.id === version)?.name}</p>
      )}
      {technique && (
        <Judge student={student} subject={technique} version={version} classId={sheet.training.id} />
      )}
    </>
  );
}

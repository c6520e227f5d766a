import { Button } from '@mantine/core';
import { useSyncExternalStore } from 'react';
import type { ClassSheet, Name } from '../../api/types';
import { contested } from '../../record/overlay';
import { useOutbox, useRecord } from '../../record/Recording';
import classes from './MatPage.module.css';

/** Two devices did not know of each other: one checked somebody in, this one took them out. The coach says which holds. */
export function ContestedNote({ sheet, people }: { sheet: ClassSheet; people: Name[] }) {
  const outbox = useOutbox();
  const record = useRecord();
  const takenOut = useSyncExternalStore(outbox.subscribe, outbox.takenOut);
  const classId = sheet.training.id;
  return contested(sheet, takenOut).map(({ student, attendance }) => {
    const who = people.find((p) => p.id === student)?.calledBy ?? 'Somebody';
    return (
      <div key={student} role="alert" className={classes.contested}>
        <span>{who} was checked in on another device too. You took them out here.</span>
        <Button variant="default" onClick={() => outbox.forgetOut(student, classId)}>
          {who} is here
        </Button>
        <Button
          variant="default"
          onClick={async () => {
            await outbox.forgetOut(student, classId);
            await record({ kind: 'leave', body: { id: attendance, student, classId } }, `${who} is not here`);
          }}
        >
          Not here
        </Button>
      </div>
    );
  });
}

import { Button } from '@mantine/core';
import { useState } from 'react';
import { newId } from '../../api/client';
import type { MapIndex } from '../../api/map';
import type { ClassSheet, Mark, Name } from '../../api/types';
import { Choice, Choices } from '../../record/Judge';
import { useRecord } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { count } from '../../ui/words';
import classes from './MatPage.module.css';
import { drilledIn, firstOf, Techniques } from './Techniques';

type Props = { map: MapIndex; sheet: ClassSheet; people: Name[] };

const STANDARDS = { SHOWN: 'Shown', MOVING: 'Moving' } as const;

/** A whole class on one technique: all who are here pass but those who are taken out; one person is marked by their tile. */
export function ClassMarks({ map, sheet, people }: Props) {
  const drilled = drilledIn(sheet.training);
  const [subject, setSubject] = useState(() => firstOf(drilled, map));
  const [standard, setStandard] = useState<keyof typeof STANDARDS>('SHOWN');
  const [notYet, setNotYet] = useState<ReadonlySet<string>>(new Set());
  const record = useRecord();
  const say = useNotices();
  const technique = map.technique.get(subject);
  const here = sheet.attendance.flatMap((a) => people.find((p) => p.id === a.student) ?? []);
  const passing = here.filter((who) => !notYet.has(who.id));
  if (here.length === 0)
    return <p className={classes.hint}>Check people in first; then they can be marked.</p>;
  const pass = async () => {
    if (!technique) return;
    const block = sheet.training.blocks.find((b) => b.technique === technique.id);
    const marks = passing.map((who) => ({
      who,
      body: {
        id: newId('m'),
        student: who.id,
        subject: technique.id,
        role: 'PERFORMER' as const,
        side: 'BOTH' as const,
        version: block?.version ?? undefined,
        standard: standard as Mark['standard'],
        passed: true,
        faults: [],
        classId: sheet.training.id,
      },
    }));
    try {
      for (const { who, body } of marks)
        await record({ kind: 'mark', body }, `${who.calledBy}, ${technique.name}: pass`);
      setNotYet(new Set());
      say.done(`${technique.name}: ${count(marks.length, 'pass', 'passes')}.`, () => {
        for (const { who, body } of marks) {
          const back = { ...body, id: newId('m'), passed: false, withdraws: body.id };
          record(
            { kind: 'mark', body: back },
            `${who.calledBy}, ${technique.name}: pass taken back`,
            body.id,
          ).catch(say.failed);
        }
      });
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <section aria-label="The whole class">
      <h2>The whole class</h2>
      <p className={classes.hint}>One technique for all who are here. For one person, tap their tile.</p>
      <Techniques map={map} drilled={drilled} chosen={subject} onChoose={setSubject} />
      <Choices label="Standard">
        {(Object.entries(STANDARDS) as [keyof typeof STANDARDS, string][]).map(([one, word]) => (
          <Choice key={one} on={one === standard} onClick={() => setStandard(one)}>
            {word}
          </Choice>
        ))}
      </Choices>
      <Choices label="Who passes; tap whoever does not">
        {here.map((who) => (
          <Choice
            key={who.id}
            on={!notYet.has(who.id)}
            onClick={() => {
              const after = new Set(notYet);
              if (!after.delete(who.id)) after.add(who.id);
              setNotYet(after);
            }}
          >
            {who.calledBy}
          </Choice>
        ))}
      </Choices>
      <Button size="lg" mt={10} disabled={!technique || passing.length === 0} onClick={pass}>
        Pass {passing.length === here.length ? `all ${here.length}` : `${passing.length} of ${here.length}`}
      </Button>
    </section>
  );
}

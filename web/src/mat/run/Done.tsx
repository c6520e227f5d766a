import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Block, ClassSheet, Name } from '../../api/types';
import { Choice, Choices } from '../../record/Judge';
import { calledIn } from '../class/called';
import { EXCEPTIONS, type Exception, isDrilled, loggedOf, useDrillLog } from '../class/useDrillLog';
import { doseWords } from '../plan/plan';
import classes from './Run.module.css';

type Props = { sheet: ClassSheet; block: Block; people: Name[]; readOnly?: boolean; main?: boolean };

const KINDS = Object.keys(EXCEPTIONS) as Exception[];

/** Logs a block in one touch; the person who did otherwise is touched before. */
export function Done({ sheet, block, people, readOnly = false, main = false }: Props) {
  const { log, takeBack } = useDrillLog(sheet);
  const [otherwise, setOtherwise] = useState<Record<string, Exception>>({});
  const [kind, setKind] = useState<Exception>('OUT');
  const [open, setOpen] = useState(false);
  const calledBy = calledIn(
    people,
    sheet.attendance.map((one) => one.student),
  );
  const logged = loggedOf(sheet, block);
  if (!isDrilled(block)) return null;
  if (logged)
    return (
      <p className={classes.logged}>
        Logged: {doseWords({ reps: logged.reps, sides: logged.side, swaps: 0 })}
        {logged.except.length > 0 && `, but not so for ${logged.except.map(calledBy).join(', ')}`}.
        {!readOnly && (
          <Button variant="subtle" size="md" onClick={() => takeBack(block)}>
            Take back
          </Button>
        )}
      </p>
    );
  if (readOnly) return null;
  const toggle = (id: string) => {
    const { [id]: was, ...rest } = otherwise;
    setOtherwise(was === kind ? rest : { ...rest, [id]: kind });
  };
  return (
    <div className={classes.done}>
      <Button
        size={main ? 'lg' : 'md'}
        variant="default"
        disabled={sheet.attendance.length === 0}
        onClick={() => {
          setOpen(false);
          void log([block], otherwise);
        }}
      >
        Done as planned
      </Button>
      <Button size={main ? 'lg' : 'md'} variant="default" aria-expanded={open} onClick={() => setOpen(!open)}>
        {Object.keys(otherwise).length === 0 ? 'But …' : `But ${Object.keys(otherwise).length}`}
      </Button>
      {open && (
        <fieldset className={classes.otherwise} aria-label="Who did otherwise">
          <Choices label="How">
            {KINDS.map((one) => (
              <Choice key={one} on={one === kind} onClick={() => setKind(one)}>
                {EXCEPTIONS[one]}
              </Choice>
            ))}
          </Choices>
          <Choices label="Who">
            {sheet.attendance.map(({ student }) => (
              <Choice key={student} on={student in otherwise} onClick={() => toggle(student)}>
                {calledBy(student)}
                {otherwise[student] && <small> {EXCEPTIONS[otherwise[student]].toLowerCase()}</small>}
              </Choice>
            ))}
          </Choices>
        </fieldset>
      )}
    </div>
  );
}

import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../api/client';
import { type MapIndex, useNames } from '../api/queries';
import type { Block, ClassSheet } from '../api/types';
import { useRecord } from '../record/Recording';
import { useNotices } from '../ui/Notices';
import { plain } from '../ui/words';
import classes from './MatPage.module.css';
import { RoomFaults } from './RoomFaults';

type Props = { map: MapIndex; sheet: ClassSheet; readOnly: boolean };

/** The class block by block: what to say, what to watch, its cautions, and the drill logged for everyone present. */
export function Blocks({ map, sheet, readOnly }: Props) {
  return (
    <>
      <div className={classes.planned}>
        <h2>{sheet.training.theme}</h2>
        {!readOnly && sheet.training.blocks.length > 0 && (
          <Button component={Link} to={`/mat/${sheet.training.id}/plan`} variant="default" size="compact-md">
            Change the plan
          </Button>
        )}
      </div>
      {sheet.training.cancelled && (
        <p className={classes.forbid}>Called off: nobody trains, nothing counts.</p>
      )}
      {sheet.training.blocks.length === 0 && (
        <div className={classes.unplanned}>
          <p>Nothing is planned for this class. People can be checked in and marked all the same.</p>
          {!readOnly && (
            <Button component={Link} to={`/mat/${sheet.training.id}/plan`} size="md">
              Plan it
            </Button>
          )}
        </div>
      )}
      <ol className={classes.blocks}>
        {sheet.training.blocks.map((block) => (
          <BlockLine key={block.id} {...{ map, sheet, block, readOnly }} />
        ))}
      </ol>
    </>
  );
}

const SIDES = { BOTH: 'each side', RIGHT: 'right only', LEFT: 'left only' } as const;

function BlockLine({ map, sheet, block, readOnly }: Props & { block: Block }) {
  const record = useRecord();
  const say = useNotices();
  const names = useNames().data;
  const [except, setExcept] = useState<string[]>([]);
  const calledBy = (id: string) => names?.find((one) => one.id === id)?.calledBy ?? 'somebody';
  const technique = map.technique.get(block.technique);
  const fault = technique?.faults.find((f) => f.id === block.watchFault);
  const logged = sheet.practice.find((p) => p.blockId === block.id && !p.student && !p.withdrawn);
  const log = async (dose: NonNullable<Block['dose']>) => {
    const id = newId('p');
    const classId = sheet.training.id;
    const body = {
      id,
      classId,
      blockId: block.id,
      technique: block.technique,
      side: dose.sides,
      reps: dose.reps,
      part: block.kind === 'PART_DRILL',
      role: 'PERFORMER' as const,
      except,
      withdrawn: false,
    };
    try {
      await record({ kind: 'practise', body }, `${block.title}, logged for everyone here`);
      say.done(`${block.title} is logged for everyone here.`, () => takeBack(id));
    } catch (error) {
      say.failed(error);
    }
  };
  const takeBack = (id: string) =>
    record(
      { kind: 'withdraw', body: { id, classId: sheet.training.id } },
      `${block.title}, not logged after all`,
      id,
    ).catch(say.failed);
  return (
    <li className={classes.block} data-block={block.id}>
      <h3>
        {block.title}
        <span>
          {plain(block.kind).toLowerCase()} · {block.minutes} min
        </span>
      </h3>
      {block.watchCue && <p className={classes.cue}>“{block.watchCue}”</p>}
      {fault && (
        <p>
          Watch: {fault.see.charAt(0).toLowerCase()}
          {fault.see.slice(1)}
        </p>
      )}
      {(sheet.cautions[block.id] ?? [])
        .filter((caution) => caution.code !== 'SOLO')
        .map((caution) => (
          <p key={caution.code} className={caution.level === 'FORBID' ? classes.forbid : classes.caution}>
            {caution.text}
          </p>
        ))}
      {logged && (
        <p className={classes.logged}>
          Logged: {logged.reps} reps {SIDES[logged.side]}, for everyone here
          {logged.except.length > 0 && ` but ${logged.except.map(calledBy).join(', ')}`}{' '}
          {!readOnly && (
            <Button variant="subtle" size="compact-md" onClick={() => takeBack(logged.id)}>
              Take back
            </Button>
          )}
        </p>
      )}
      {!logged && !readOnly && block.technique && block.dose && (
        <>
          <Button
            size="md"
            variant="default"
            disabled={sheet.attendance.length === 0}
            onClick={() => block.dose && log(block.dose)}
          >
            Log {block.dose.reps} reps {SIDES[block.dose.sides]} for {sheet.attendance.length - except.length}{' '}
            here
          </Button>
          {sheet.attendance.length > 0 && (
            <details className={classes.room}>
              <summary>
                {except.length === 0 ? 'Somebody sat it out' : `Without ${except.map(calledBy).join(', ')}`}
              </summary>
              <div>
                {sheet.attendance.map(({ student }) => (
                  <button
                    key={student}
                    type="button"
                    aria-pressed={except.includes(student)}
                    onClick={() =>
                      setExcept(
                        except.includes(student)
                          ? except.filter((one) => one !== student)
                          : [...except, student],
                      )
                    }
                  >
                    {calledBy(student)}
                  </button>
                ))}
              </div>
            </details>
          )}
        </>
      )}
      {technique && !readOnly && <RoomFaults sheet={sheet} technique={technique} />}
    </li>
  );
}

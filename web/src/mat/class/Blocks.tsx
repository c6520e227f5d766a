import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { MapIndex } from '../../api/map';
import { useNames } from '../../api/people';
import type { Block, ClassSheet } from '../../api/types';
import { plain } from '../../ui/words';
import { doseWords, roundsIn, roundWords } from '../plan/plan';
import { Done } from '../run/Done';
import classes from './MatPage.module.css';
import { RoomFaults } from './RoomFaults';
import { isDrilled, loggedOf, useDrillLog } from './useDrillLog';

type Props = { map: MapIndex; sheet: ClassSheet; readOnly: boolean };

/** The class block by block: what to say, what to watch, its cautions, and the drill logged for everyone present. */
export function Blocks({ map, sheet, readOnly }: Props) {
  const { log } = useDrillLog(sheet);
  const left = sheet.training.blocks.filter((block) => isDrilled(block) && !loggedOf(sheet, block));
  return (
    <>
      <div className={classes.planned}>
        <h2>{sheet.training.theme || 'The plan'}</h2>
        {!readOnly && sheet.training.blocks.length > 0 && (
          <>
            <Button
              component={Link}
              to={`/mat/${sheet.training.id}/plan`}
              variant="default"
              size="compact-md"
            >
              Change the plan
            </Button>
            <Button
              component={Link}
              to={`/mat/${sheet.training.id}/tonight`}
              variant="default"
              size="compact-md"
            >
              From who is here
            </Button>
          </>
        )}
      </div>
      {sheet.training.handOver && <p className={classes.hint}>{sheet.training.handOver}</p>}
      {sheet.training.cancelled && (
        <p className={classes.forbid}>Called off: nobody trains, nothing counts.</p>
      )}
      {sheet.training.blocks.length === 0 && (
        <div className={classes.unplanned}>
          <p>Nothing is planned for this class. People can be checked in and marked all the same.</p>
          {!readOnly && (
            <>
              <Button component={Link} to={`/mat/${sheet.training.id}/plan`} size="md">
                Plan it
              </Button>
              <Button
                component={Link}
                to={`/mat/${sheet.training.id}/tonight`}
                size="md"
                variant="default"
                ml={8}
              >
                From who is here
              </Button>
            </>
          )}
        </div>
      )}
      {!readOnly && left.length > 1 && sheet.attendance.length > 0 && (
        <Button size="md" variant="default" mt={8} onClick={() => log(left)}>
          All of it done as planned
        </Button>
      )}
      <ol className={classes.blocks}>
        {sheet.training.blocks.map((block) => (
          <BlockLine key={block.id} {...{ map, sheet, block, readOnly }} />
        ))}
      </ol>
    </>
  );
}

function BlockLine({ map, sheet, block, readOnly }: Props & { block: Block }) {
  const people = useNames().data ?? [];
  const technique = map.technique.get(block.technique);
  const fault = technique?.faults.find((f) => f.id === block.watchFault);
  return (
    <li className={classes.block} data-block={block.id}>
      <h3>
        {block.title}
        <span>
          {plain(block.kind).toLowerCase()} · {block.minutes} min
        </span>
      </h3>
      {block.dose && block.dose.reps > 0 && <p>{doseWords(block.dose)}</p>}
      {block.work > 0 && <p>{roundWords(block, roundsIn(block, block.minutes * 60))}</p>}
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
      <Done sheet={sheet} block={block} people={people} readOnly={readOnly} />
      {technique && !readOnly && <RoomFaults sheet={sheet} technique={technique} />}
    </li>
  );
}

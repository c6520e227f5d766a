import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { MapIndex } from '../../api/map';
import type { Block, ClassSheet, Name } from '../../api/types';
import { plain } from '../../ui/words';
import { RoomFaults } from '../class/RoomFaults';
import { isDrilled, loggedOf, useDrillLog } from '../class/useDrillLog';
import { doseWords, stepsOf } from '../plan/plan';
import { type Dial, digits, faceOf, type Phase } from './clock';
import { Done } from './Done';
import classes from './Run.module.css';
import { Thumbs } from './Thumbs';
import type { Running } from './useClock';

type Props = { map: MapIndex; sheet: ClassSheet; people: Name[]; clock: Running };

/** The evening while it runs: the strip, the clock, what to say and to watch, and what was done. */
export function RunPanel({ map, sheet, people, clock }: Props) {
  const { blocks, id } = sheet.training;
  const { dial, at } = clock;
  const block = blocks[at];
  const { log } = useDrillLog(sheet);
  if (!block)
    return (
      <div className={classes.unplanned}>
        <h2>Nothing is planned</h2>
        <p>The clock runs through the blocks of a class. Plan them, or take them from last time.</p>
        <Button component={Link} to={`/mat/${id}/plan`} size="lg">
          Plan it
        </Button>
      </div>
    );
  const left = blocks.filter((one) => isDrilled(one) && !loggedOf(sheet, one));
  const isLast = at === blocks.length - 1;
  return (
    <>
      <section className={classes.now} aria-label="The clock">
        <p
          className={dial.left < 0 ? `${classes.digits} ${classes.over}` : classes.digits}
          role="timer"
          aria-label={dial.left < 0 ? 'Over its time' : 'Time left'}
        >
          {digits(faceOf(dial))}
        </p>
        <Doing block={block} dial={dial} />
      </section>
      <div className={classes.keys}>
        {dial.runs ? (
          <Button size="lg" variant="default" onClick={clock.pause}>
            Pause
          </Button>
        ) : (
          <Button size="lg" onClick={clock.start}>
            {dial.begun ? 'Go on' : 'Start'}
          </Button>
        )}
        <Button size="lg" variant="default" onClick={clock.longer}>
          +1 min
        </Button>
        <Button
          size="lg"
          variant={dial.runs && !isLast ? 'filled' : 'default'}
          disabled={isLast}
          onClick={() => clock.turn(at + 1)}
        >
          Next block
        </Button>
      </div>
      {block.position && (
        <Thumbs
          sheet={sheet}
          block={block}
          position={block.position}
          name={map.position.get(block.position)?.name.toLowerCase() ?? 'there'}
        />
      )}
      <Done key={block.id} sheet={sheet} block={block} people={people} main />
      <Watch map={map} sheet={sheet} block={block} />
      {isLast && left.length > 1 && (
        <Button
          size="lg"
          variant="default"
          disabled={sheet.attendance.length === 0}
          onClick={() => log(left)}
        >
          All of it done as planned
        </Button>
      )}
    </>
  );
}

const NEXT: Record<Phase, string> = {
  explain: 'explain in',
  work: 'drill in',
  swap: 'swap in',
  rest: 'rest in',
};

/** What is going on, and what comes next. */
function Now({ dial: { phase, next, round, left } }: { dial: Dial }) {
  if (round)
    return (
      <>
        <p className={classes.swap}>
          {phase === 'rest' ? (next ? 'Rest' : 'Rounds are over') : `Round ${round.is} of ${round.of}`}
        </p>
        {next && <p className="quiet">{digits(left)} of the block left</p>}
      </>
    );
  return (
    <p className={classes.swap}>
      {phase === 'swap' ? 'Swap now' : phase === 'explain' ? 'Explain' : ''}
      {next && phase !== 'swap' && (
        <>
          {phase === 'explain' && ', '}
          {NEXT[next.phase]} {digits(next.in)}
        </>
      )}
    </p>
  );
}

/** How it is done, and when partners change. */
function Doing({ block, dial }: { block: Block; dial: Dial }) {
  const { dose } = block;
  return (
    <div className={classes.doing}>
      <p className="quiet">{plain(block.kind)}</p>
      <h2>{block.title}</h2>
      {dose && dose.reps > 0 && (
        <p>
          <strong>{doseWords(dose)}</strong>
        </p>
      )}
      {dose && (
        <p className="quiet">
          {plain(dose.tempo).toLowerCase()}, resistance {dose.resistance} of 3
          {dose.surface === 'CRASH_MAT' && ', on the crash mat'}
        </p>
      )}
      {dose?.stop && <p>Stop when {dose.stop}</p>}
      {dial.begun && dial.left > 0 && <Now dial={dial} />}
    </div>
  );
}

/** The cue, the fault, the cautions, and the faults of the room to tick. */
function Watch({ map, sheet, block }: { map: MapIndex; sheet: ClassSheet; block: Block }) {
  const technique = map.technique.get(block.technique);
  const fault = technique?.faults.find((one) => one.id === block.watchFault);
  const cautions = (sheet.cautions[block.id] ?? []).filter((caution) => caution.code !== 'SOLO');
  const steps = stepsOf(block, technique);
  return (
    <>
      {(block.watchCue || fault || cautions.length > 0 || steps.length > 0) && (
        <section className={classes.watch} aria-label="What to watch">
          {steps.map((step) => (
            <p key={step}>{step}</p>
          ))}
          {block.watchCue && <p className={classes.cue}>“{block.watchCue}”</p>}
          {fault && <p>Watch: {fault.see.charAt(0).toLowerCase() + fault.see.slice(1)}</p>}
          {cautions.map((caution) => (
            <p key={caution.code} className={caution.level === 'FORBID' ? classes.forbid : classes.caution}>
              {caution.text}
            </p>
          ))}
        </section>
      )}
      {technique && <RoomFaults key={block.id} sheet={sheet} technique={technique} open />}
    </>
  );
}

import { Button } from '@mantine/core';
import { Link, useParams, useSearchParams } from 'react-router';
import { type MapIndex, useMap } from '../../api/map';
import { useCalendar, useClassSheet } from '../../api/mat';
import { useSums } from '../../api/sums';
import type { Block, ClassSheet } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { PrintFoot } from '../../ui/PrintFoot';
import { Scroll } from '../../ui/Scroll';
import { Empty, Loaded } from '../../ui/States';
import { date, plain, time } from '../../ui/words';
import { doseWords, roundsIn, roundWords, stepsOf } from './plan';
import classes from './SheetPage.module.css';

/** The class on one page of paper, for the person who gives it; or large, for the wall. Nobody is named on it. */
export function SheetPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const sheet = useClassSheet(id);
  const map = useMap();
  const isLarge = params.has('large');
  return (
    <>
      <PageHead title="Class sheet" print={false}>
        <Button onClick={() => window.print()}>Print, or save as PDF</Button>
        <Link to={isLarge ? `/mat/${id}/sheet` : `/mat/${id}/sheet?large`} replace>
          {isLarge ? 'For the hand' : 'Large, for the wall'}
        </Link>
        <Link to={`/mat/${id}/plan`}>Change the plan</Link>
      </PageHead>
      <Loaded query={sheet}>
        {(opened) => (
          <Loaded query={map}>{(index) => <Sheet sheet={opened} map={index} isLarge={isLarge} />}</Loaded>
        )}
      </Loaded>
    </>
  );
}

function Sheet({ sheet, map, isLarge }: { sheet: ClassSheet; map: MapIndex; isLarge: boolean }) {
  const { training } = sheet;
  const tracks = useCalendar().data?.tracks;
  const sums = useSums(training).data;
  if (training.blocks.length === 0)
    return (
      <Empty title="Nothing is planned" steps={[{ label: 'Plan it', to: `/mat/${training.id}/plan` }]}>
        A class sheet says block by block what is done, what to say and what to watch.
      </Empty>
    );
  return (
    <Scroll label="Class sheet" className={classes.page}>
      <article className={isLarge ? `${classes.sheet} ${classes.large}` : classes.sheet}>
        <h2>
          {tracks?.find((one) => one.id === training.track)?.name}
          {training.group && ` · ${training.group}`}
          <span>
            {date(training.date)}, {time(training.start)}
            {training.area && `, ${training.area}`}
          </span>
        </h2>
        {training.theme && <p className={classes.theme}>{training.theme}</p>}
        {!isLarge && training.handOver && <p className={classes.over}>{training.handOver}</p>}
        <ol>
          {training.blocks.map((block) => (
            <OnSheet key={block.id} block={block} sheet={sheet} map={map} isLarge={isLarge} />
          ))}
        </ol>
        {!isLarge && sums && (
          <p className="quiet">
            {sums.sum.minutes} min in blocks, {sums.sum.changes} between them, {sums.sum.water} for water, of{' '}
            {training.minutes}
            {sums.left < 0 && `: ${-sums.left} over`}
            {sums.sum.falls > 0 &&
              `. ${sums.sum.falls} falls for each person (${sums.fewFalls} at most for juniors and newcomers, ${sums.mostFalls} for others)`}
            .
          </p>
        )}
        <PrintFoot />
      </article>
    </Scroll>
  );
}

type OnSheetProps = { block: Block; sheet: ClassSheet; map: MapIndex; isLarge: boolean };

function OnSheet({ block, sheet, map, isLarge }: OnSheetProps) {
  const technique = map.technique.get(block.technique);
  const fault = technique?.faults.find((one) => one.id === block.watchFault);
  const { dose } = block;
  const steps = stepsOf(block, technique);
  return (
    <li>
      <strong className={classes.minutes}>{block.minutes}</strong>
      <div>
        <h3>
          {block.title} <span>{plain(block.kind).toLowerCase()}</span>
        </h3>
        {dose && dose.reps > 0 && (
          <p>
            {doseWords(dose)}
            {!isLarge &&
              `; ${plain(dose.tempo).toLowerCase()}, resistance ${dose.resistance} of 3${dose.surface === 'CRASH_MAT' ? ', crash mat' : ''}${dose.explain > 0 ? `; ${dose.explain} s to show it` : ''}`}
            {dose.stop && `; stop when ${dose.stop}`}
          </p>
        )}
        {block.work > 0 && <p>{roundWords(block, roundsIn(block, block.minutes * 60))}</p>}
        {block.leads === 'ALIKE' && <p>Same stance</p>}
        {block.leads === 'OPPOSED' && <p>Right stance against left</p>}
        {!isLarge && steps.map((step) => <p key={step}>{step}</p>)}
        {block.watchCue && <p className={classes.cue}>“{block.watchCue}”</p>}
        {!isLarge && fault && (
          <p>
            Watch: {fault.see.charAt(0).toLowerCase() + fault.see.slice(1)}. {fault.fix}
          </p>
        )}
        {!isLarge &&
          (sheet.cautions[block.id] ?? [])
            .filter((caution) => caution.code !== 'SOLO')
            .map((caution) => (
              <p key={caution.code} className={classes.caution}>
                {caution.text}
              </p>
            ))}
      </div>
    </li>
  );
}

import { Button } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { type MapIndex, useMap } from '../api/map';
import { useDays, useToday } from '../api/mat';
import type { Block, TrainingClass } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { useWho } from '../ui/coaches';
import { PrintFoot } from '../ui/PrintFoot';
import { Scroll } from '../ui/Scroll';
import { Empty, Loaded } from '../ui/States';
import { date, daysBefore, mondayOf, time } from '../ui/words';
import classes from './WeekSheet.module.css';

/** The week for the assistants, all tracks side by side: each item with its one cue and the one fault to watch. One page. */
export function WeekSheet() {
  const [params, setParams] = useSearchParams();
  const now = useToday();
  const from = mondayOf(params.get('on') ?? now);
  const week = useDays(from, daysBefore(from, -6));
  const map = useMap();
  return (
    <>
      <PageHead title="Week sheet">
        <Button
          variant="default"
          aria-label="The week before"
          onClick={() => setParams({ on: daysBefore(from, 7) })}
        >
          ←
        </Button>
        <Button
          variant="default"
          aria-label="The week after"
          onClick={() => setParams({ on: daysBefore(from, -7) })}
        >
          →
        </Button>
        <Button onClick={() => window.print()}>Print, or save as PDF</Button>
      </PageHead>
      <Loaded query={week}>
        {({ classes: all, tracks, ifTime }) => (
          <Loaded query={map}>
            {(index) => {
              const planned = all.filter((one) => !one.cancelled && one.blocks.some(isDrill));
              if (planned.length === 0)
                return (
                  <Empty title="Nothing is planned this week" steps={[{ label: 'To the term', to: '/term' }]}>
                    What the plan or a coach puts into the classes of a week stands here on one page.
                  </Empty>
                );
              return (
                <Scroll label="Week sheet" className={classes.sheet}>
                  <h2>
                    {date(from)} to {date(daysBefore(from, -6))}
                  </h2>
                  <div className={classes.columns}>
                    {tracks
                      .filter((track) => planned.some((one) => one.track === track.id))
                      .map((track) => (
                        <section key={track.id} aria-label={track.name}>
                          <h3>{track.name}</h3>
                          {planned
                            .filter((one) => one.track === track.id)
                            .map((one) => (
                              <OnSheet
                                key={one.id}
                                training={one}
                                map={index}
                                ifTime={ifTime[one.id] ?? []}
                              />
                            ))}
                        </section>
                      ))}
                  </div>
                  <PrintFoot />
                </Scroll>
              );
            }}
          </Loaded>
        )}
      </Loaded>
    </>
  );
}

const isDrill = (block: Block) => block.kind === 'PART_DRILL' || block.kind === 'WHOLE_DRILL';

type OnSheetProps = { training: TrainingClass; map: MapIndex; ifTime: string[] };

function OnSheet({ training, map, ifTime }: OnSheetProps) {
  const who = useWho();
  return (
    <article>
      <h4>
        {date(training.date)}, {time(training.start)}
        {training.coach && <small> {who(training.coach)}</small>}
      </h4>
      {training.blocks.filter(isDrill).map((block) => {
        const technique = map.technique.get(block.technique);
        const fault = technique?.faults.find((one) => one.id === block.watchFault);
        const sign = technique?.signs[0] ?? technique?.steps.at(-1)?.text;
        return (
          <div key={block.id}>
            <strong>
              {block.title} <span>{block.minutes}</span>
            </strong>
            {ifTime.includes(block.id) && <em className={classes.ifTime}>if time allows</em>}
            {block.watchCue && <p className={classes.cue}>“{block.watchCue}”</p>}
            {fault && <p>Watch: {fault.see.charAt(0).toLowerCase() + fault.see.slice(1)}</p>}
            {sign && <p className="quiet">Done when: {sign.charAt(0).toLowerCase() + sign.slice(1)}</p>}
          </div>
        );
      })}
    </article>
  );
}

import { Button } from '@mantine/core';
import { useNavigate, useParams } from 'react-router';
import { useSession } from '../../api/club';
import { readPlan, usePlan, useToday } from '../../api/mat';
import { useTonight } from '../../api/terms';
import type { Evening, Suggested, TrainingClass, Way } from '../../api/types';
import { useEdit } from '../../form/useEdit';
import { PageHead } from '../../frame/PageHead';
import { nth } from '../../ui/lists';
import { Scroll } from '../../ui/Scroll';
import { Empty, Loaded } from '../../ui/States';
import { count, date, time } from '../../ui/words';
import classes from './Tonight.module.css';

/** Three ways to spend an evening, from who is here; one press makes the class. */
export function TonightPage() {
  const { id = '' } = useParams();
  const plan = usePlan(id);
  const evening = useTonight(id);
  return (
    <Loaded query={plan}>
      {({ value, tag }) => (
        <Loaded query={evening}>{(shown) => <Ways training={value} tag={tag} evening={shown} />}</Loaded>
      )}
    </Loaded>
  );
}

type WaysProps = { training: TrainingClass; tag: string; evening: Evening };

function Ways({ training, tag, evening }: WaysProps) {
  const navigate = useNavigate();
  const edit = useEdit();
  const isOver = training.date < useToday();
  const mayWrite = useSession().data?.role !== 'VIEWER' && !isOver;
  const { ways, left } = evening.tonight;
  const toMat = () => navigate(`/mat/${training.id}`);
  const back = async () => {
    const now = await readPlan(training.id);
    await edit.save({ place: 'classes', body: training, tag: now.tag, done: 'The class is as it was.' });
  };
  const make = async (way: Way) => {
    const done = 'This is the class now.';
    if (await edit.save({ place: 'classes', body: way.training, tag, done, back: () => void back() }))
      toMat();
  };
  return (
    <>
      <PageHead title="From who is here">
        <span className="quiet">
          {date(training.date)}, {time(training.start)} · {evening.here} here
        </span>
        <Button variant="default" onClick={toMat}>
          To the mat
        </Button>
      </PageHead>
      <Scroll label="Ways to spend the evening" className={classes.body}>
        {ways.length === 0 ? (
          <Nothing evening={evening} id={training.id} />
        ) : (
          <>
            {isOver && (
              <p className={classes.planned}>
                The class is over: this is what it could have been. What was done in it stays as it is.
              </p>
            )}
            {mayWrite && training.blocks.length > 0 && (
              <p className={classes.planned}>
                Planned so far: {training.theme ?? count(training.blocks.length, 'block', 'blocks')}. What you
                make here takes its place, and can be taken back.
              </p>
            )}
            {edit.problem && (
              <p role="alert" className={classes.problem}>
                {edit.problem.message}
              </p>
            )}
            <p className={classes.key}>
              <span>
                <i /> need it for the next rank
              </span>
              <span>
                <i /> have lost most of it
              </span>
            </p>
            <ol className={classes.ways}>
              {ways.map((way, n) => (
                <li key={nth(way.lines, 0).name}>
                  <h2>
                    {way.minutes} of {evening.minutes} min
                  </h2>
                  <p className={classes.sum}>{weighed(way)}</p>
                  <ul>
                    {way.lines.map((line) => (
                      <Line key={line.name} line={line} />
                    ))}
                  </ul>
                  {mayWrite && (
                    <Button
                      size="md"
                      fullWidth
                      variant={n === 0 ? 'filled' : 'default'}
                      loading={edit.saving}
                      aria-label={`Make it the class: ${nth(way.lines, 0).name}`}
                      onClick={() => make(way)}
                    >
                      Make it the class
                    </Button>
                  )}
                </li>
              ))}
            </ol>
          </>
        )}
        {left.length > 0 && (
          <section className={classes.left}>
            <h2>Not tonight</h2>
            <ul>
              {left.map((line) => (
                <li key={line.name}>
                  <strong>{line.name}</strong>
                  <span>
                    {line.need} of {line.here} {line.need === 1 ? 'needs' : 'need'} it
                  </span>
                  <span>{line.left}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {ways.length > 0 && (
          <p className={classes.how}>
            What counts for most a minute comes first: somebody who needs it for the next rank counts for as
            much as they have lost or never had of it, somebody who has passed it for half of that. Ages,
            falls, limits, room and what is taught at their ranks are kept. You decide.
          </p>
        )}
      </Scroll>
    </>
  );
}

const weighed = (way: Way) => {
  const fresh = way.lines.filter((line) => line.isNew).length;
  return `${way.falls === 0 ? 'No falls' : `${count(way.falls, 'fall', 'falls')} each`} · ${fresh === 0 ? 'nothing new' : `${fresh} new`}`;
};

function Line({ line }: { line: Suggested }) {
  const share = (some: number) => `${(100 * some) / Math.max(1, line.here)}%`;
  return (
    <li>
      <strong>{line.name}</strong>
      <div className={classes.bars} aria-hidden>
        <i style={{ width: share(line.need) }} />
        <i style={{ width: share(line.rusty) }} />
      </div>
      <span>{said(line)}</span>
      {line.notes.map((note) => (
        <small key={note}>{note}</small>
      ))}
    </li>
  );
}

/** Its sum without its name, which stands above. */
const said = (line: Suggested) => {
  const sum = line.sentence.slice(line.name.length + 2).replaceAll(' min', '\u00a0min');
  return sum.charAt(0).toUpperCase() + sum.slice(1);
};

function Nothing({ evening, id }: { evening: Evening; id: string }) {
  if (evening.here === 0)
    return (
      <Empty title="Nobody is here yet" isCoachs steps={[{ label: 'Check people in', to: `/mat/${id}` }]}>
        What is proposed comes from who is here: what they need next, and what has rusted.
      </Empty>
    );
  if (evening.ranked === 0 && evening.tonight.left.length === 0)
    return (
      <Empty title="Nobody here stands on a ladder" isCoachs steps={[{ label: 'Plan a term', to: '/term' }]}>
        What is proposed comes from what their ranks ask and from the term’s plan. No ladder counts for this
        track or suits their ages, and no plan says what it is to learn.
      </Empty>
    );
  return (
    <Empty title="Nothing is proposed" isCoachs steps={[{ label: 'Plan it by hand', to: `/mat/${id}/plan` }]}>
      {evening.tonight.left.length > 0
        ? 'What they need does not suit who is here; why stands below.'
        : 'Whoever is here has passed what their ranks ask, and nothing has rusted.'}
    </Empty>
  );
}

import { Button, Progress, SegmentedControl } from '@mantine/core';
import type { ReactNode } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { useSession } from '../api/club';
import { useTracks } from '../api/mat';
import { useCycles, usePlans, usePlanView, useTerms } from '../api/terms';
import type { PlanLine, PlanView, Proposal, Term, TermPlan, Track } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { nth } from '../ui/lists';
import { Empty, Loaded } from '../ui/States';
import { count, date } from '../ui/words';
import { ClassPanel } from './ClassPanel';
import { type Chosen, Field } from './Field';
import { GoalsPanel } from './GoalsPanel';
import { OnOlder } from './OnOlder';
import { moved, weeksOf } from './plan';
import classes from './Term.module.css';
import { TermPicker } from './TermPicker';
import { usePlanning } from './usePlanning';
import { useSaving } from './useSaving';
import { WeekView } from './WeekView';
import { Why } from './Why';

/** What each track is taught in a term: a field whose green is what will be remembered. */
export function TermPage() {
  const { id } = useParams();
  const terms = useTerms();
  const plans = usePlans();
  const tracks = useTracks();
  const cycles = useCycles().data ?? [];
  return (
    <Loaded query={terms}>
      {({ terms: all }) => (
        <Loaded query={plans}>
          {(lines) => (
            <Loaded query={tracks}>
              {({ tracks: streams }) =>
                id === undefined && lines.length === 0 && cycles.length > 0 ? (
                  <Navigate to={`/term/cycles/${nth(cycles, 0).id}`} replace />
                ) : all.length === 0 ? (
                  <NoTerm tracks={streams} />
                ) : (
                  <ForTrack id={id ?? lines[0]?.id} lines={lines} terms={all} tracks={streams} />
                )
              }
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function NoTerm({ tracks }: { tracks: Track[] }) {
  return (
    <>
      <PageHead title="Term">
        {tracks.length > 0 && <TermPicker value={null} lines={[]} terms={[]} tracks={tracks} />}
      </PageHead>
      <Empty
        title="No term yet"
        steps={
          tracks.length > 0
            ? [{ label: 'Make a term', to: '/term/terms/new' }]
            : [{ label: 'Add a track with its weekly times', to: '/house/tracks' }]
        }
      >
        A term is a season with its weekly times and its grading. What is taught in it is planned for each
        track. Where people begin at any time, choose theme weeks above instead: they come round again and
        again.
      </Empty>
    </>
  );
}

type ChosenProps = { id?: string; lines: PlanLine[]; terms: Term[]; tracks: Track[] };

function ForTrack({ id, lines, terms, tracks }: ChosenProps) {
  const line = lines.find((one) => one.id === id);
  const picker = <TermPicker value={line?.id ?? null} {...{ lines, terms, tracks }} />;
  if (!line)
    return (
      <>
        <PageHead title="Term">
          {picker}
          <Link to="/term/terms/new">Another term</Link>
        </PageHead>
        <Empty title="Nothing is planned">
          Choose a track above: the plan spreads what it is to learn over the classes of the term.
        </Empty>
      </>
    );
  return <Opened key={line.id} id={line.id} picker={picker} />;
}

function Opened({ id, picker }: { id: string; picker: ReactNode }) {
  const view = usePlanView(id);
  return <Loaded query={view}>{({ value, tag }) => <Plan view={value} tag={tag} picker={picker} />}</Loaded>;
}

type PlanProps = { view: PlanView; tag: string; picker: ReactNode };

function Plan({ view: kept, tag, picker }: PlanProps) {
  const [params, setParams] = useSearchParams();
  const { problem, save } = useSaving('plans', kept.plan, tag);
  const planning = usePlanning();
  const mayWrite = useSession().data?.role !== 'VIEWER';
  const { proposal } = planning;
  const view = proposal?.view ?? kept;
  const isWeek = params.get('view') === 'week';
  const doing = params.get('do');
  const at = view.lessons.findIndex((lesson) => lesson.id === params.get('class'));
  const chosen: Chosen = at < 0 ? null : { lesson: at, subject: params.get('item') };
  const go = (next: Record<string, string | null>) => {
    const all = new URLSearchParams(params);
    for (const [key, value] of Object.entries(next))
      if (value === null) all.delete(key);
      else all.set(key, value);
    setParams(all, { replace: true });
  };
  const choose = (next: Chosen) =>
    go({
      class: next === null ? null : nth(view.lessons, next.lesson).id,
      item: next?.subject ?? null,
      do: null,
    });
  const mayMove = mayWrite && !proposal && !planning.isRunning;
  const onChange = mayMove
    ? (plan: TermPlan, says: string, to?: number) => {
        if (to !== undefined) go({ class: nth(view.lessons, to).id });
        void save(plan, says);
      }
    : undefined;
  const take = async (found: Proposal) => {
    if (await save(found.view.plan, 'The plan is taken.')) planning.forget();
  };
  const hasPlaces = kept.plan.placed.some((one) => one.on >= kept.today);
  const changed = proposal ? new Set(proposal.changed) : undefined;
  const shared = { view, chosen, onChoose: choose, changed };
  return (
    <>
      <PageHead title="Term">
        {picker}
        <SegmentedControl
          aria-label="How it is shown"
          value={isWeek ? 'week' : 'field'}
          onChange={(value) => go({ view: value === 'week' ? 'week' : null })}
          data={[
            { value: 'field', label: 'Field' },
            { value: 'week', label: 'Week' },
          ]}
        />
        {mayWrite && (
          <Button
            variant={kept.plan.goals.length === 0 ? 'default' : 'filled'}
            disabled={!mayMove || kept.plan.goals.length === 0}
            onClick={() => {
              go({ do: null, class: null, item: null });
              void planning.start(kept.plan);
            }}
          >
            {hasPlaces ? 'Replan' : 'Plan it'}
          </Button>
        )}
      </PageHead>
      <div className={classes.term}>
        {kept.plan.goals.length === 0 ? (
          <Empty title="Nothing is to be taught yet">
            Choose what this track is to learn, beside: what the next ranks ask for comes first.
          </Empty>
        ) : isWeek ? (
          <WeekView {...shared} />
        ) : (
          <Field
            {...shared}
            onMove={
              mayMove
                ? (row, n, to) => {
                    go({ class: to.id, item: row.subject, do: null });
                    void save(
                      moved(view.plan, row.subject, nth(view.lessons, n), to),
                      `${row.name} is met on ${date(to.date)}.`,
                    );
                  }
                : undefined
            }
          />
        )}
        <aside className={classes.side} aria-label="About the plan">
          <OnOlder track={kept.plan.track} />
          {planning.isRunning && (
            <div role="status">
              <h2>Planning</h2>
              <Progress value={planning.share} animated aria-label="Planning" />
              <p className="quiet">
                {planning.owed === null
                  ? 'It begins.'
                  : planning.owed === 0
                    ? 'Everything has its place; making it better.'
                    : `${count(planning.owed, 'meeting has', 'meetings have')} no place yet.`}
              </p>
              <Button variant="default" onClick={planning.cancel}>
                Cancel
              </Button>
            </div>
          )}
          {planning.problem && (
            <div role="alert">
              <p className={classes.breaks}>{planning.problem}</p>
              <Button variant="default" onClick={planning.forget}>
                Close
              </Button>
            </div>
          )}
          {proposal && (
            <div role="status" className={classes.proposal}>
              <h2>
                {proposal.changed.length > 0
                  ? count(proposal.changed.length, 'class changes', 'classes change')
                  : proposal.view.impossible.length > 0
                    ? 'It cannot be planned like this'
                    : 'Nothing would change'}
              </h2>
              <Changes
                before={kept}
                after={proposal}
                onChoose={(n) => choose({ lesson: n, subject: null })}
              />
              <div className={classes.acts}>
                {proposal.changed.length > 0 && <Button onClick={() => take(proposal)}>Take it</Button>}
                <Button variant="default" onClick={planning.forget}>
                  Leave it
                </Button>
              </div>
            </div>
          )}
          {problem && (
            <p role="alert" className={classes.breaks}>
              {problem.message}
            </p>
          )}
          {doing === 'goals' || (kept.plan.goals.length === 0 && mayWrite) ? (
            <GoalsPanel
              view={kept}
              onChange={(plan, says) => void save(plan, says)}
              onClose={() => go({ do: null })}
            />
          ) : chosen ? (
            <ClassPanel {...{ view, at, chosen, onChange }} onClose={() => choose(null)} />
          ) : (
            <>
              <p className="quiet">
                {count(weeksOf(view).length, 'week', 'weeks')} ·{' '}
                {count(view.lessons.length, 'class', 'classes')} · {count(view.people, 'comes', 'come')}
                {view.grading && ` · ${date(view.grading)} is the grading`}
              </p>
              {mayWrite && (
                <Button variant="default" onClick={() => go({ do: 'goals' })}>
                  What is taught
                </Button>
              )}
              <Why view={view} mayFree={mayWrite} onLesson={(n) => choose({ lesson: n, subject: null })} />
              <p className={classes.acts}>
                <Link to={`/term/week?on=${view.today}`}>Week sheet</Link>
                {mayWrite && <Link to={`/term/${view.plan.id}/met`}>Who has met what</Link>}
                {mayWrite && <Link to={`/term/terms/${view.plan.term}`}>The term's days</Link>}
              </p>
            </>
          )}
        </aside>
      </div>
    </>
  );
}

type ChangesProps = { before: PlanView; after: Proposal; onChoose: (lesson: number) => void };

/** What would be different, class by class. */
function Changes({ before, after, onChoose }: ChangesProps) {
  const changed = new Set(after.changed);
  const inClass = (view: PlanView, id: string) =>
    view.plan.placed.filter((one) => `${one.slot}-${one.on}` === id).map((one) => one.goal);
  const nameOf = (subject: string) => after.view.rows.find((row) => row.subject === subject)?.name ?? subject;
  return (
    <ul className={classes.changes}>
      {after.view.lessons.map((lesson, n) => {
        if (!changed.has(lesson.id)) return null;
        const was = inClass(before, lesson.id);
        const is = inClass(after.view, lesson.id);
        return (
          <li key={lesson.id}>
            <button type="button" onClick={() => onChoose(n)}>
              {date(lesson.date)}
            </button>
            {is
              .filter((one) => !was.includes(one))
              .map((one) => (
                <ins key={one}>{nameOf(one)}</ins>
              ))}
            {was
              .filter((one) => !is.includes(one))
              .map((one) => (
                <del key={one}>{nameOf(one)}</del>
              ))}
            {is.length === was.length && is.every((one) => was.includes(one)) && (
              <span className="quiet">the same in another order</span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useSession } from '../../api/club';
import { useTracks } from '../../api/mat';
import { useCycleView, usePlans, useTerms } from '../../api/terms';
import type { CycleView, ThemeCycle } from '../../api/types';
import { useEdit } from '../../form/useEdit';
import { PageHead } from '../../frame/PageHead';
import { nth } from '../../ui/lists';
import { Scroll } from '../../ui/Scroll';
import { Empty, Loaded } from '../../ui/States';
import { count } from '../../ui/words';
import term from '../Term.module.css';
import { TermPicker } from '../TermPicker';
import { useSaving } from '../useSaving';
import { AboutCycle } from './AboutCycle';
import { Ahead } from './Ahead';
import classes from './Cycle.module.css';
import { LayOut } from './LayOut';
import { ThemeCard } from './ThemeCard';
import { ThemePanel } from './ThemePanel';
import { moved, shifted, withOneMore } from './themes';

/** Theme weeks that come round again and again, for tracks in which people begin at any time. */
export function CyclePage() {
  const { id = '' } = useParams();
  const view = useCycleView(id);
  return <Loaded query={view}>{({ value, tag }) => <Weeks key={id} kept={value} tag={tag} />}</Loaded>;
}

function Weeks({ kept, tag }: { kept: CycleView; tag: string }) {
  const [params, setParams] = useSearchParams();
  const [laid, setLaid] = useState<CycleView | null>(null);
  const { problem, save } = useSaving('cycles', kept.cycle, tag);
  const terms = useTerms().data?.terms ?? [];
  const plans = usePlans().data ?? [];
  const tracks = useTracks().data?.tracks ?? [];
  const mayWrite = useSession().data?.role !== 'VIEWER';
  const view = laid ?? kept;
  const doing = params.get('do');
  const at = Number(params.get('theme') ?? -1);
  const chosen = kept.themes[at] ? at : null;
  const go = (next: Record<string, string>) => setParams(next, { replace: true });
  const nameOf = (n: number) => nth(kept.themes, n).name;
  const onMove = (subject: string, name: string, from: number, to: number) => {
    const next = (to + kept.themes.length) % kept.themes.length;
    if (next !== from)
      void save(moved(kept.cycle, subject, from, next), `${name} is shown in ${nameOf(next)}.`);
  };
  const onShift = (subject: string, name: string, n: number, step: -1 | 1) => {
    const cycle = shifted(kept.cycle, n, subject, step);
    if (cycle !== kept.cycle) void save(cycle, `${name} comes ${step < 0 ? 'earlier' : 'later'}.`);
  };
  const mayMove = mayWrite && !laid;
  const isEmpty = view.themes.length === 0;
  const add = async () => {
    const cycle = withOneMore(kept.cycle);
    if (await save(cycle, 'A week more.')) go({ theme: String(cycle.themes.length - 1) });
  };
  return (
    <>
      <PageHead title="Term">
        <TermPicker value={`cycles/${kept.cycle.id}`} lines={plans} {...{ terms, tracks }} />
        {mayWrite && (
          <Button
            variant={isEmpty ? 'filled' : 'default'}
            onClick={() => {
              setLaid(null);
              go({ do: 'lay' });
            }}
          >
            Lay out a syllabus
          </Button>
        )}
      </PageHead>
      <div className={term.term}>
        {isEmpty ? (
          <Empty title="No theme weeks yet">
            Lay out the syllabus of a rank, or make the weeks one by one. They come round again and again, so
            that somebody new may begin in any of them.
          </Empty>
        ) : (
          <Scroll label="Theme weeks" className={classes.round}>
            <ol className={classes.weeks}>
              {view.themes.map((theme, n) => (
                <ThemeCard
                  key={theme.name}
                  {...{ view, n }}
                  isChosen={n === chosen && !laid}
                  onChoose={laid ? undefined : () => go({ theme: String(n) })}
                  onMove={mayMove ? onMove : undefined}
                  onShift={mayMove ? onShift : undefined}
                />
              ))}
            </ol>
            <p className={classes.again}>
              then the first again: {count(view.themes.length, 'week', 'weeks')} a round
            </p>
            <Ahead view={view} />
          </Scroll>
        )}
        <aside className={term.side} aria-label="About the theme weeks">
          {problem && (
            <p role="alert" className={term.breaks}>
              {problem.message}
            </p>
          )}
          {laid ? (
            <div role="status" className={term.proposal}>
              <h2>{count(laid.themes.length, 'theme week', 'theme weeks')} laid out</h2>
              <p className="quiet">
                {kept.themes.length > 0
                  ? `They take the place of the ${kept.themes.length} there are.`
                  : 'Everything can be moved afterwards.'}
              </p>
              <div className={term.acts}>
                <Button
                  onClick={async () => {
                    if (await save(laid.cycle, 'The theme weeks are taken.')) {
                      setLaid(null);
                      go({});
                    }
                  }}
                >
                  Take them
                </Button>
                <Button variant="default" onClick={() => setLaid(null)}>
                  Leave them
                </Button>
              </div>
              <AboutCycle view={laid} />
            </div>
          ) : mayWrite && (doing === 'lay' || (isEmpty && doing === null)) ? (
            <LayOut view={kept} onLaid={setLaid} onClose={() => go({ do: 'about' })} />
          ) : chosen !== null ? (
            <ThemePanel
              key={chosen}
              view={kept}
              n={chosen}
              onMove={mayWrite ? onMove : undefined}
              onChange={mayWrite ? (cycle, says) => save(cycle, says) : undefined}
              onClose={() => go({})}
              onGo={(n) => go({ theme: String(n) })}
            />
          ) : (
            <>
              <AboutCycle
                view={kept}
                onChange={mayWrite ? (cycle, says) => void save(cycle, says) : undefined}
              />
              <p className={term.acts}>
                {mayWrite && (
                  <Button variant="default" onClick={add}>
                    Add a week
                  </Button>
                )}
                <Link to={`/term/week?on=${view.today}`}>Week sheet</Link>
                {mayWrite && <Retire cycle={kept.cycle} tag={tag} />}
              </p>
            </>
          )}
        </aside>
      </div>
    </>
  );
}

/** Takes theme weeks out; the notice brings them back. */
function Retire({ cycle, tag }: { cycle: ThemeCycle; tag: string }) {
  const edit = useEdit();
  const navigate = useNavigate();
  const back = () => void edit.save({ place: 'cycles', body: cycle, tag: null, done: 'Taken back.' });
  return (
    <Button
      variant="subtle"
      size="compact-md"
      onClick={async () => {
        if (await edit.retire('cycles', cycle.id, tag, 'The theme weeks are gone.', back)) navigate('/term');
      }}
    >
      Take them out
    </Button>
  );
}

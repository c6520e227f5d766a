import { Button } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import { Problem, send, sendEdit } from '../api/client';
import { useSession } from '../api/club';
import { chainQuery, type MapIndex, useChain, useChains, useMap } from '../api/map';
import type { Chain, ChainReport, ChainView, Session } from '../api/types';
import { freeId, NEW } from '../form/fields';
import { isBlank } from '../form/limits';
import { useUndo } from '../form/useEdit';
import { PageHead } from '../frame/PageHead';
import { nth } from '../ui/lists';
import { useNotices } from '../ui/Notices';
import { Scroll } from '../ui/Scroll';
import { Loaded } from '../ui/States';
import classes from './ChainEditor.module.css';
import { ChainHead } from './ChainHead';
import { Drawing } from './Drawing';
import { Findings } from './Findings';
import { Outline } from './Outline';
import { useChainRules } from './rules';
import { type Draft, useStoredDraft } from './storedDraft';
import { inCoreOrder } from './tree';

const BLANK: Chain = { id: NEW, name: '', intent: '', owner: null, start: '', first: null, retired: false };

const NOTHING: ChainReport = {
  depth: 0,
  turnOffs: 0,
  answeredShare: 0,
  chanceToFinish: 0,
  chanceToSettle: 0,
  weakestLink: null,
  weakestChance: 0,
  taught: { minutes: 0, ages: { from: 0, shownBelow: 0, never: false }, falls: [] },
  netPoints: {},
  overlaps: [],
  steps: [],
  findings: [],
};

/** A chain in its editor; a new one is begun there as well. */
export function ChainEditorPage() {
  const { id = '' } = useParams();
  const isNew = id === NEW;
  const [rules] = useChainRules();
  const chain = useChain(isNew ? null : id, rules);
  const map = useMap();
  return (
    <Loaded query={map}>
      {(index) =>
        isNew ? (
          <Editor key={NEW} kept={BLANK} tag={null} report={NOTHING} map={index} />
        ) : (
          <Loaded query={chain}>
            {({ value, tag }) => (
              <Editor key={id} kept={value.chain} tag={tag} report={value.report} map={index} />
            )}
          </Loaded>
        )
      }
    </Loaded>
  );
}

const mayChange = (session: Session | null | undefined, owner: string | null) =>
  session?.role === 'HEAD' || (session?.role === 'COACH' && (!owner || owner === session.name));

type Props = { kept: Chain; tag: string | null; report: ChainReport; map: MapIndex };

function Editor({ kept, tag, report: keptReport, map }: Props) {
  const session = useSession();
  const [rules] = useChainRules();
  const [draft, setDraft] = useStoredDraft({ chain: kept, tag });
  const { chain } = draft;
  const isChanged = JSON.stringify(chain) !== JSON.stringify(kept);
  const mayWrite = mayChange(session.data, kept.owner);
  const keeping = useKeeping(kept, draft, setDraft);
  const edit = (change: Partial<Chain>) =>
    setDraft((before) => ({ ...before, chain: { ...before.chain, ...change } }));

  const [checked] = useDebouncedValue(chain, 150);
  const check = useQuery<ChainReport>({
    queryKey: ['chain-check', checked, rules],
    queryFn: () =>
      send('POST', `/chains/check?${rules ? `ruleset=${rules}` : ''}`, {
        ...checked,
        name: checked.name || 'A new chain',
      }),
    enabled: mayWrite && isChanged && chain.start !== '',
    placeholderData: (before) => before,
  });
  const report = isChanged ? (check.data ?? keptReport) : keptReport;
  const placed = inCoreOrder(chain.first);
  const labels = new Map(
    placed.map((p, i) => [
      p.path.join('.'),
      report.steps.length === placed.length ? nth(report.steps, i).label : '',
    ]),
  );
  const isReady = !isBlank(chain.name) && chain.start !== '';
  return (
    <>
      <PageHead title="Chains">
        <strong>{chain.name || 'A new chain'}</strong>
        {mayWrite && (
          <>
            <Button onClick={keeping.save} disabled={!isChanged || !isReady}>
              {isChanged || tag === null ? 'Save' : 'Saved'}
            </Button>
            {isChanged && (
              <Button variant="default" onClick={() => setDraft({ chain: kept, tag })}>
                Drop changes
              </Button>
            )}
            {!isChanged && tag !== null && (
              <Button variant="default" onClick={keeping.retire}>
                Retire
              </Button>
            )}
          </>
        )}
        {!mayWrite && <span className="quiet">{kept.owner ? `kept by ${kept.owner}` : 'read only'}</span>}
      </PageHead>
      <div className={classes.columns}>
        <section className={classes.outline} aria-label="Outline">
          <ChainHead map={map} chain={chain} isNew={tag === null} readOnly={!mayWrite} onChange={edit} />
          {chain.start !== '' && (
            <Outline
              map={map}
              chain={chain}
              labels={labels}
              readOnly={!mayWrite}
              onChange={(first) => edit({ first })}
            />
          )}
        </section>
        <Scroll label="Drawing" className={classes.drawing}>
          {chain.start === '' ? (
            <p className={classes.hint}>Choose where it starts. The drawing grows downhill as you write.</p>
          ) : (
            <Drawing map={map} chain={chain} labels={labels} />
          )}
        </Scroll>
        <Findings map={map} report={report} />
      </div>
    </>
  );
}

/** Saves and retires a chain; both can be taken back from their notice. */
function useKeeping(kept: Chain, { chain, tag }: Draft, setDraft: (draft: Draft) => void) {
  const client = useQueryClient();
  const say = useNotices();
  const navigate = useNavigate();
  const undo = useUndo();
  const chains = useChains();
  const [rules] = useChainRules();
  const fresh = (id: string) =>
    client.fetchQuery<{ value: ChainView; tag: string }>({ ...chainQuery(id, rules), staleTime: 0 });
  const listed = () => {
    client.invalidateQueries({ queryKey: ['chains'], exact: true });
    client.invalidateQueries({ queryKey: ['chains', 'under'] });
  };

  const add = async () => {
    const id = freeId(chain.name, (taken) => (chains.data ?? []).some((view) => view.chain.id === taken));
    const { edit } = await sendEdit('POST', '/chains', { ...chain, id });
    setDraft({ chain: kept, tag: null });
    listed();
    navigate(`/chains/${id}`, { replace: true });
    say.done(
      `${chain.name} is saved.`,
      async () => {
        navigate('/chains');
        if (edit) await undo(edit);
      },
      edit,
    );
  };
  const change = async () => {
    const { edit } = await sendEdit('PUT', `/chains/${kept.id}`, chain, tag ?? undefined);
    const now = await fresh(kept.id);
    setDraft({ chain: now.value.chain, tag: now.tag });
    listed();
    say.done(`${chain.name} is saved.`, () => setDraft({ chain: kept, tag: now.tag }), edit);
  };
  const save = async () => {
    try {
      await (tag === null ? add() : change());
    } catch (error) {
      if (error instanceof Problem && error.code === 'STALE')
        setDraft({ chain, tag: (await fresh(kept.id)).tag });
      say.failed(error);
    }
  };
  const retire = async () => {
    try {
      const { edit } = await sendEdit(
        'PUT',
        `/chains/${kept.id}`,
        { ...kept, retired: true },
        tag ?? undefined,
      );
      listed();
      navigate('/chains');
      say.done(
        `${kept.name} is retired: it is no longer offered, what names it keeps it.`,
        () => {
          if (edit) undo(edit);
        },
        edit,
      );
    } catch (error) {
      say.failed(error);
    }
  };
  return { save, retire };
}

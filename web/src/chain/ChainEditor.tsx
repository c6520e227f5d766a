import { Button, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { Problem, send } from '../api/client';
import { type MapIndex, useChain, useMap, useSession } from '../api/queries';
import type { Chain, ChainReport } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { useNotices } from '../ui/Notices';
import { Scroll } from '../ui/Scroll';
import { Loaded } from '../ui/States';
import classes from './ChainEditor.module.css';
import { Drawing } from './Drawing';
import { Findings } from './Findings';
import { Outline } from './Outline';
import { inCoreOrder } from './tree';

export function ChainEditorPage() {
  const { id = '' } = useParams();
  const chain = useChain(id);
  const map = useMap();
  return (
    <Loaded query={chain}>
      {(kept) => (
        <Loaded query={map}>
          {(index) => (
            <Editor key={id} kept={kept.value.chain} tag={kept.tag} report={kept.value.report} map={index} />
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

type Draft = { chain: Chain; tag: string };

const draftKey = (id: string) => `lynchet-chain-draft ${id}`;

/** What was typed and not yet saved survives a reload. */
function storedDraft(id: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(draftKey(id)) ?? 'null');
  } catch {
    return null;
  }
}

type Props = { kept: Chain; tag: string; report: ChainReport; map: MapIndex };

function Editor({ kept, tag, report: keptReport, map }: Props) {
  const session = useSession();
  const client = useQueryClient();
  const say = useNotices();
  const [draft, setDraft] = useState<Draft>(() => storedDraft(kept.id) ?? { chain: kept, tag });
  const { chain } = draft;
  const isChanged = JSON.stringify(chain) !== JSON.stringify(kept);
  const mayWrite =
    session.data?.role === 'HEAD' ||
    (session.data?.role === 'COACH' && (!kept.owner || kept.owner === session.data.name));

  useEffect(() => {
    if (isChanged) localStorage.setItem(draftKey(kept.id), JSON.stringify(draft));
    else localStorage.removeItem(draftKey(kept.id));
  }, [draft, isChanged, kept.id]);

  const [checked] = useDebouncedValue(chain, 150);
  const check = useQuery<ChainReport>({
    queryKey: ['chain-check', checked],
    queryFn: () => send('POST', '/chains/check', checked),
    enabled: mayWrite && isChanged,
    placeholderData: (before) => before,
  });
  const report = isChanged ? (check.data ?? keptReport) : keptReport;
  const placed = inCoreOrder(chain.first);
  const labels = new Map(
    placed.map((p, i) => [
      p.path.join('.'),
      report.steps.length === placed.length ? report.steps[i].label : '',
    ]),
  );
  const edit = (change: Partial<Chain>) =>
    setDraft((before) => ({ ...before, chain: { ...before.chain, ...change } }));

  const save = async () => {
    try {
      await send('PUT', `/chains/${kept.id}`, chain, draft.tag);
      localStorage.removeItem(draftKey(kept.id));
      const before = kept;
      const fresh = await client.fetchQuery<{ value: { chain: Chain }; tag: string }>({
        queryKey: ['chains', kept.id],
        staleTime: 0,
        queryFn: async () => (await import('../api/client')).readTagged(`/chains/${kept.id}`),
      });
      setDraft({ chain: fresh.value.chain, tag: fresh.tag });
      client.invalidateQueries({ queryKey: ['chains'], exact: true });
      say.done(`${chain.name} is saved.`, () => setDraft({ chain: before, tag: fresh.tag }));
    } catch (error) {
      if (error instanceof Problem && error.code === 'STALE') {
        const theirs = await client.fetchQuery<{ value: { chain: Chain }; tag: string }>({
          queryKey: ['chains', kept.id],
          staleTime: 0,
          queryFn: async () => (await import('../api/client')).readTagged(`/chains/${kept.id}`),
        });
        setDraft((before) => ({ ...before, tag: theirs.tag }));
      }
      say.failed(error);
    }
  };

  return (
    <>
      <PageHead title="Chains">
        <strong>{chain.name}</strong>
        {mayWrite && (
          <>
            <Button onClick={save} disabled={!isChanged}>
              {isChanged ? 'Save' : 'Saved'}
            </Button>
            {isChanged && (
              <Button
                variant="default"
                onClick={() => {
                  setDraft({ chain: kept, tag });
                }}
              >
                Drop changes
              </Button>
            )}
          </>
        )}
        {!mayWrite && <span className="quiet">{kept.owner ? `kept by ${kept.owner}` : 'read only'}</span>}
      </PageHead>
      <div className={classes.columns}>
        <section className={classes.outline} aria-label="Outline">
          {mayWrite ? (
            <TextInput
              label="Intent"
              value={chain.intent}
              onChange={(event) => edit({ intent: event.currentTarget.value })}
            />
          ) : (
            <p>{chain.intent}</p>
          )}
          <p>
            Starts in <strong>{map.position.get(chain.start)?.name}</strong>
          </p>
          <Outline
            map={map}
            chain={chain}
            labels={labels}
            readOnly={!mayWrite}
            onChange={(first) => edit({ first: first as Chain['first'] })}
          />
        </section>
        <Scroll label="Drawing" className={classes.drawing}>
          <Drawing map={map} chain={chain} labels={labels} />
        </Scroll>
        <Findings map={map} report={report} />
      </div>
    </>
  );
}

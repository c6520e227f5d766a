import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../api/club';
import { useLadders } from '../api/ladders';
import { type MapIndex, useChains, useMap } from '../api/map';
import type { ChainView, LadderView } from '../api/types';
import { NEW } from '../form/fields';
import { PageHead } from '../frame/PageHead';
import { fold } from '../frame/search';
import { itemsOf } from '../rank/families';
import { Empty, Loaded } from '../ui/States';
import { count, percent } from '../ui/words';
import classes from './ChainsPage.module.css';
import { RulesPick, useChainRules } from './rules';

export function ChainsPage() {
  const [rules] = useChainRules();
  const chains = useChains(true, rules);
  const map = useMap();
  return (
    <Loaded query={chains}>
      {(views) => <Loaded query={map}>{(index) => <ChainList views={views} map={index} />}</Loaded>}
    </Loaded>
  );
}

/** Which ranks ask for a chain. */
const ranksWith = (chain: string, ladders: LadderView[]) =>
  ladders.flatMap((v) =>
    v.ladder.ranks.filter((r) => itemsOf(r).some((i) => i.ref === chain)).map((r) => r.name),
  );

function ChainList({ views, map }: { views: ChainView[]; map: MapIndex }) {
  const [rules] = useChainRules();
  const ladders = useLadders();
  const session = useSession();
  const [text, setText] = useState('');
  const shown = views.filter(({ chain }) => fold(chain.name + chain.intent).includes(fold(text)));
  const mayWrite = session.data?.role !== 'VIEWER';
  return (
    <>
      <PageHead title="Chains">
        {mayWrite && (
          <Button component={Link} to={`/chains/${NEW}`}>
            New chain
          </Button>
        )}
      </PageHead>
      <div className={classes.body}>
        <div className={classes.picks}>
          <TextInput
            aria-label="Search chains"
            placeholder="Search chains"
            value={text}
            onChange={(event) => setText(event.currentTarget.value)}
            w={260}
          />
          <RulesPick map={map} />
        </div>
        {views.length === 0 && (
          <Empty
            title="No chain yet"
            steps={mayWrite ? [{ label: 'Begin the first chain', to: `/chains/${NEW}` }] : []}
          >
            A chain is a walk down the hill: a main line, and turn-offs at what they do about it.
          </Empty>
        )}
        <ul className={classes.list}>
          {shown.map(({ chain, report }) => (
            <li key={chain.id}>
              <Link to={`/chains/${chain.id}${rules ? `?rules=${rules}` : ''}`}>
                <h2>{chain.name}</h2>
                <p>{chain.intent}</p>
                <p className="quiet">
                  from {map.position.get(chain.start)?.name} · {count(report.depth, 'step', 'steps')} deep ·{' '}
                  {count(report.turnOffs, 'turn-off', 'turn-offs')}
                  {ranksWith(chain.id, ladders.data ?? []).map((rank) => ` · ${rank.toLowerCase()}`)}
                </p>
              </Link>
              <dl>
                <div>
                  <dt>answers</dt>
                  <dd>{percent(report.answeredShare)}</dd>
                </div>
                <div>
                  <dt>to finish</dt>
                  <dd>{percent(report.chanceToFinish)}</dd>
                </div>
                <div>
                  <dt>or settle</dt>
                  <dd>{percent(report.chanceToSettle)}</dd>
                </div>
                <div className={classes.weak}>
                  <dt>weakest link</dt>
                  <dd>{map.technique.get(map.link.get(report.weakestLink)?.technique ?? '')?.name ?? '–'}</dd>
                </div>
              </dl>
            </li>
          ))}
        </ul>
      </div>
    </>
  );
}

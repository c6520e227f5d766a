import { Button, Modal, Select, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { send } from '../api/client';
import { type MapIndex, useChains, useLadders, useMap, useSession } from '../api/queries';
import type { ChainView, LadderView } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { fold } from '../frame/search';
import { freeId } from '../map/edit/fields';
import { itemsOf } from '../rank/families';
import { useNotices } from '../ui/Notices';
import { Empty, Loaded } from '../ui/States';
import { count, percent } from '../ui/words';
import classes from './ChainsPage.module.css';

export function ChainsPage() {
  const chains = useChains();
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
  const ladders = useLadders();
  const session = useSession();
  const [text, setText] = useState('');
  const shown = views.filter(({ chain }) => fold(chain.name + chain.intent).includes(fold(text)));
  const mayWrite = session.data?.role !== 'VIEWER';
  return (
    <>
      <PageHead title="Chains">{mayWrite && <NewChain map={map} views={views} />}</PageHead>
      <div className={classes.body}>
        <TextInput
          aria-label="Search chains"
          placeholder="Search chains"
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
          w={260}
          mb={8}
        />
        {views.length === 0 && (
          <Empty title="No chain yet">A chain is a walk down the hill. Begin one above.</Empty>
        )}
        <ul className={classes.list}>
          {shown.map(({ chain, report }) => (
            <li key={chain.id}>
              <Link to={`/chains/${chain.id}`}>
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

function NewChain({ map, views }: { map: MapIndex; views: ChainView[] }) {
  const [opened, setOpened] = useState(false);
  const [name, setName] = useState('');
  const [start, setStart] = useState<string | null>(null);
  const navigate = useNavigate();
  const client = useQueryClient();
  const say = useNotices();
  const make = async () => {
    const id = freeId(name, (taken) => views.some(({ chain }) => chain.id === taken));
    try {
      const view = await send<ChainView>('POST', '/chains', { id, name, intent: '', start, first: null });
      client.invalidateQueries({ queryKey: ['chains'] });
      navigate(`/chains/${view.chain.id}`);
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <>
      <Button onClick={() => setOpened(true)}>New chain</Button>
      <Modal
        opened={opened}
        onClose={() => setOpened(false)}
        title="New chain"
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            make();
          }}
        >
          <TextInput
            label="Name"
            value={name}
            onChange={(e) => setName(e.currentTarget.value)}
            required
            data-autofocus
          />
          <Select
            label="Starts at"
            searchable
            required
            mt={10}
            data={[...map.position.values()].map((p) => ({ value: p.id, label: p.name }))}
            value={start}
            onChange={setStart}
          />
          <Button type="submit" mt={16} disabled={!name || !start}>
            Begin
          </Button>
        </form>
      </Modal>
    </>
  );
}

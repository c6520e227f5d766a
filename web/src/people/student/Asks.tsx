import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId, send } from '../../api/client';
import { type MapIndex, useChains } from '../../api/map';
import { useToday } from '../../api/mat';
import { useAsks } from '../../api/people';
import type { Ask, AskView, Student } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { useWho } from '../../ui/coaches';
import { useNotices } from '../../ui/Notices';
import { Loaded } from '../../ui/States';
import { date } from '../../ui/words';
import classes from './Asks.module.css';

/** What they asked to work on: written down, answered with a technique or a chain, taken up by a class. */
export function Asks({ student, map }: { student: Student; map: MapIndex }) {
  const asks = useAsks({ student: student.id });
  const [words, setWords] = useState('');
  const { tell, sending } = useTellAsk();
  const add = async () => {
    const ask = { id: newId('ask'), student: student.id, words: words.trim() };
    if (await tell('POST', '/asks', ask, null, 'Written down; a class can take it up.')) setWords('');
  };
  return (
    <section aria-label="Asked for">
      <h2>Asked for</h2>
      <Loaded query={asks}>
        {(all) =>
          all.length === 0 ? (
            <p className="quiet">Nothing yet. What they ask at the edge of the mat is written down here.</p>
          ) : (
            <ul className={classes.asks}>
              {all.map((view) => (
                <Line key={view.ask.id} view={view} map={map} />
              ))}
            </ul>
          )
        }
      </Loaded>
      <form
        className={classes.add}
        onSubmit={(event) => {
          event.preventDefault();
          if (words.trim()) add();
        }}
      >
        <TextInput
          aria-label="What did they ask for?"
          placeholder="What did they ask for?"
          maxLength={200}
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
        <Button type="submit" variant="default" loading={sending} disabled={!words.trim()}>
          Write down
        </Button>
      </form>
    </section>
  );
}

/** One of them; where it has no answer, one is chosen. */
export function Line({ view, map, isNamed = false }: { view: AskView; map: MapIndex; isNamed?: boolean }) {
  const who = useWho();
  const { ask, tag } = view;
  const chains = useChains();
  const today = useToday();
  const { tell } = useTellAsk();
  const technique = ask.subject ? map.technique.get(ask.subject) : undefined;
  const chain = chains.data?.find((one) => one.chain.id === ask.subject)?.chain;
  const change = (part: Partial<Ask>, done: string) =>
    tell('PUT', `/asks/${ask.id}`, { ...ask, ...part }, tag, done);
  return (
    <li className={ask.done ? classes.done : undefined}>
      <div>
        {isNamed && (
          <>
            <Link to={`/people/${ask.student}`}>{view.name}</Link>:{' '}
          </>
        )}
        {ask.words}
        <span className="quiet">
          {' '}
          {date(ask.on)}
          {ask.by && `, ${who(ask.by)}`}
          {ask.done && `, taken up ${date(ask.done)}`}
        </span>
        {technique && (
          <div>
            → <Link to={`/map/techniques/${technique.id}`}>{technique.name}</Link>
          </div>
        )}
        {chain && (
          <div>
            → <Link to={`/chains/${chain.id}`}>{chain.name}</Link>
          </div>
        )}
        {!ask.subject && !ask.done && (
          <Select
            aria-label={`Answer to ${ask.words}`}
            placeholder="Answer with a technique or a chain"
            searchable
            limit={40}
            size="sm"
            data={[
              ...map.data.techniques
                .filter((one) => !one.retired)
                .map((one) => ({ value: one.id, label: one.name })),
              ...(chains.data ?? [])
                .filter((one) => !one.chain.retired)
                .map((one) => ({ value: one.chain.id, label: `${one.chain.name}, chain` })),
            ]}
            value={null}
            onChange={(subject) => subject && change({ subject }, 'Answered.')}
          />
        )}
      </div>
      {ask.done ? (
        <Button variant="subtle" size="compact-sm" onClick={() => change({ done: null }, 'It waits again.')}>
          Again
        </Button>
      ) : (
        <Button variant="default" size="compact-md" onClick={() => change({ done: today }, 'Taken up.')}>
          Done
        </Button>
      )}
    </li>
  );
}

function useTellAsk() {
  const [sending, setSending] = useState(false);
  const say = useNotices();
  const changed = useChanged();
  const tell = async (how: 'POST' | 'PUT', path: string, body: unknown, tag: string | null, done: string) => {
    setSending(true);
    try {
      await send(how, path, body, tag ?? undefined);
      await changed('ask');
      say.done(done);
      return true;
    } catch (error) {
      say.failed(error);
      return false;
    } finally {
      setSending(false);
    }
  };
  return { tell, sending };
}

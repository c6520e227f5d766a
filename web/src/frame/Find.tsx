import { TextInput } from '@mantine/core';
import { useId, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useWords } from '../api/club';
import { useChains, useMap } from '../api/map';
import { useNames } from '../api/people';
import classes from './Find.module.css';
import { useShortcuts } from './keys';
import { fold, type Hit, search } from './search';

const Glass = () => (
  <svg
    width="20"
    height="20"
    viewBox="0 0 20 20"
    aria-hidden="true"
    fill="none"
    stroke="currentColor"
    strokeWidth="2"
  >
    <circle cx="8.5" cy="8.5" r="5.5" />
    <path d="M13 13l5 5" />
  </svg>
);

/** Everything that can be found; read when somebody first looks for something. */
function useAll(wanted: boolean): Hit[] {
  const map = useMap(wanted);
  const chains = useChains(wanted);
  const names = useNames(wanted);
  const words = useWords(wanted);
  return useMemo<Hit[]>(() => {
    const hit = (kind: string, id: string, name: string, aliases: string[], to: string): Hit => ({
      key: `${kind} ${id}`,
      name,
      also: [kind, ...aliases.slice(0, 2)].join(' · '),
      to,
      names: [name, ...aliases].map(fold),
    });
    return [
      ...(map.data ? [...map.data.position.values()] : []).map((p) =>
        hit('position', p.id, p.name, p.aliases, `/map?at=${p.id}`),
      ),
      ...(map.data?.data.techniques ?? []).map((t) =>
        hit(
          'technique',
          t.id,
          t.name,
          t.aliases.map((a) => a.text),
          `/map/techniques/${t.id}`,
        ),
      ),
      ...(chains.data ?? []).map(({ chain }) =>
        hit('chain', chain.id, chain.name, [], `/chains/${chain.id}`),
      ),
      ...(names.data ?? []).map((person) =>
        hit('student', person.id, person.name, [person.calledBy], `/people/${person.id}`),
      ),
      ...(words.data ?? []).map<Hit>((word) => ({
        key: `word ${word.id}`,
        name: word.term,
        also: [word.parts.map((part) => `${part.text}: ${part.meaning}`).join(', '), word.meaning]
          .filter(Boolean)
          .join(' · '),
        to: word.techniques[0] ? `/map/techniques/${word.techniques[0]}` : null,
        names: [fold(word.term)],
      })),
    ];
  }, [map.data, chains.data, names.data, words.data]);
}

/** Finds anything: a position, a technique by any of its names, a chain, a student, a word. */
export function Find() {
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const list = useId();
  const navigate = useNavigate();
  const [wanted, setWanted] = useState(false);
  const all = useAll(wanted);

  const look = () => input.current?.focus();
  useShortcuts({ '/': look, 'shift+/': look });

  const hits = useMemo(() => search(all, text), [all, text]);
  const go = (hit?: Hit) => {
    if (!hit) return;
    if (hit.to === null) return;
    setText('');
    input.current?.blur();
    navigate(hit.to);
  };

  return (
    <div className={classes.find}>
      <TextInput
        ref={input}
        aria-label="Find"
        leftSection={<Glass />}
        leftSectionProps={{ className: classes.glass }}
        onFocus={() => setWanted(true)}
        placeholder="Find  /"
        value={text}
        role="combobox"
        aria-expanded={hits.length > 0}
        aria-controls={list}
        aria-activedescendant={hits[at] ? `${list}-${at}` : undefined}
        onChange={(event) => {
          setText(event.currentTarget.value);
          setAt(0);
        }}
        onBlur={() => window.setTimeout(() => setText(''), 150)}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt((i) => Math.min(hits.length - 1, i + 1));
          else if (event.key === 'ArrowUp') setAt((i) => Math.max(0, i - 1));
          else if (event.key === 'Enter') go(hits[at]);
          else if (event.key === 'Escape') {
            setText('');
            input.current?.blur();
          } else return;
          event.preventDefault();
        }}
      />
      <div id={list} role="listbox" aria-label="Found" className={hits.length ? classes.hits : 'unseen'}>
        {hits.map((hit, i) => (
          <button
            key={hit.key}
            id={`${list}-${i}`}
            type="button"
            role="option"
            aria-selected={i === at}
            tabIndex={-1}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => go(hit)}
          >
            <strong>{hit.name}</strong>
            <span className="quiet">{hit.also}</span>
          </button>
        ))}
      </div>
    </div>
  );
}

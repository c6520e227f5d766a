import { useState } from 'react';
import type { MapIndex } from '../api/map';
import type { Chain, ChainStep } from '../api/types';
import classes from './ChainEditor.module.css';
import { Entry, type Suggestion } from './Entry';
import { added, inReadingOrder, mainTurn, type Path, same, stepAt, turnOffOf, without } from './tree';

/** Where the next thing is typed: after a step (or at the very start), on the main line or at a reaction. */
type Cursor = { after: Path | null; reaction: string | null };

type Props = {
  map: MapIndex;
  chain: Chain;
  labels: Map<string, string>;
  readOnly: boolean;
  onChange: (first: ChainStep | null) => void;
};

/** The chain as an outline, written from the keyboard; only what starts where you are is offered. */
export function Outline({ map, chain, labels, readOnly, onChange }: Props) {
  const first = chain.first as ChainStep | null;
  const steps = inReadingOrder(first);
  const [cursor, setCursor] = useState<Cursor>(() => ({ after: endOfMain(first), reaction: null }));
  const here = cursor.after && first ? safeStep(first, cursor.after) : null;

  const accept = (suggestion: Suggestion) => {
    if (suggestion.kind === 'reaction') {
      setCursor({ after: cursor.after, reaction: suggestion.id });
      return;
    }
    const next = added(first, cursor.after, cursor.reaction, suggestion.id);
    onChange(next.first);
    setCursor({ after: next.path, reaction: null });
  };
  const leave = () => {
    if (cursor.reaction) setCursor({ after: cursor.after, reaction: null });
    else if (first && cursor.after) {
      const parent = turnOffOf(first, cursor.after);
      if (parent) setCursor({ after: endOfLine(first, parent), reaction: null });
    }
  };
  const removeLast = () => {
    if (cursor.reaction) setCursor({ after: cursor.after, reaction: null });
    else if (first && cursor.after) {
      const path = cursor.after;
      onChange(without(first, path));
      setCursor({ after: path.length ? path.slice(0, -1) : null, reaction: null });
    }
  };

  const entry = !readOnly && (
    <Entry
      key={`${cursor.after?.join('.')} ${cursor.reaction}`}
      where={whereWords(map, chain, here, cursor)}
      suggestions={suggestions(map, chain, here, cursor)}
      onAccept={accept}
      onLeave={leave}
      onRemove={removeLast}
    />
  );

  return (
    <ol className={classes.steps}>
      {!first && <li>{entry}</li>}
      {steps.map(({ path, step, reaction, deep }) => {
        const link = map.link.get(step.link);
        const to = link?.to === 'TAP' ? 'tap' : map.position.get(link?.to ?? '')?.name;
        return (
          <li key={path.join('.')} style={{ marginLeft: deep * 22 }}>
            {reaction && <div className={classes.if}>if {map.reaction.get(reaction)?.text ?? reaction}</div>}
            <button
              type="button"
              className={classes.step}
              aria-current={same(cursor.after, path)}
              onClick={() => setCursor({ after: path, reaction: null })}
            >
              <span className={classes.label}>{labels.get(path.join('.'))}</span>
              <span>
                {map.technique.get(link?.technique ?? '')?.name ?? step.link}{' '}
                <span className={classes.to}>→ {to}</span>
              </span>
            </button>
            {same(cursor.after, path) && cursor.reaction && (
              <div className={classes.if} style={{ marginLeft: 22 }}>
                if {map.reaction.get(cursor.reaction)?.text}
              </div>
            )}
            {same(cursor.after, path) && entry}
          </li>
        );
      })}
    </ol>
  );
}

function safeStep(first: ChainStep, path: Path): ChainStep | null {
  try {
    return stepAt(first, path);
  } catch {
    return null;
  }
}

const endOfMain = (first: ChainStep | null): Path | null => (first ? endOfLine(first, []) : null);

function endOfLine(first: ChainStep, from: Path): Path {
  const main = mainTurn(stepAt(first, from));
  return main < 0 ? from : endOfLine(first, [...from, main]);
}

function whereWords(map: MapIndex, chain: Chain, here: ChainStep | null, cursor: Cursor): string {
  const at = positionAt(map, chain, here, cursor);
  return at ? `Next from ${map.position.get(at)?.name}` : 'The line ends in a tap';
}

/** Where the next link must start; null after a tap. */
function positionAt(map: MapIndex, chain: Chain, here: ChainStep | null, cursor: Cursor): string | null {
  if (!here) return chain.start;
  if (cursor.reaction) return map.reaction.get(cursor.reaction)?.leaves ?? null;
  const to = map.link.get(here.link)?.to;
  return !to || to === 'TAP' ? null : to;
}

function suggestions(map: MapIndex, chain: Chain, here: ChainStep | null, cursor: Cursor): Suggestion[] {
  const at = positionAt(map, chain, here, cursor);
  const mainIsTaken = here !== null && !cursor.reaction && mainTurn(here) >= 0;
  const links = map.data.links
    .filter(
      (l) => !l.retired && l.from === at && !mainIsTaken && (l.when ? l.when === cursor.reaction : true),
    )
    .sort((a, b) => Number(Boolean(b.when)) - Number(Boolean(a.when)))
    .map<Suggestion>((l) => ({
      kind: 'link',
      id: l.id,
      text: map.technique.get(l.technique)?.name ?? l.id,
      also: `→ ${l.to === 'TAP' ? 'tap' : map.position.get(l.to)?.name}`,
    }));
  const taken = new Set(here?.next.map((t) => t.reaction));
  const from = here ? map.link.get(here.link) : undefined;
  const reactions = cursor.reaction
    ? []
    : map.data.reactions
        .filter(
          (r) => !r.retired && from && !taken.has(r.id) && (r.link === from.id || r.position === from.from),
        )
        .map<Suggestion>((r) => ({
          kind: 'reaction',
          id: r.id,
          text: `if ${r.text}`,
          also: 'opens a turn-off',
        }));
  return [...links, ...reactions];
}

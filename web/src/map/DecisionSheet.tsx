import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import type { MapIndex } from '../api/queries';
import type { DecisionTable, Row } from '../api/types';
import { Glyph } from '../ui/glyphs';
import { count, percent, plain, signed } from '../ui/words';
import classes from './DecisionSheet.module.css';
import { waysLeftOut } from './Hillside';

type Props = {
  map: MapIndex;
  table: DecisionTable;
  taughtAt: (technique: string) => string | undefined;
  onSelect: (position: string | null) => void;
  onTechnique: (technique: string) => void;
  onRoutes: () => void;
};

/** The decision table of a position, as a coach reads it out. */
export function DecisionSheet({ map, table, taughtAt, onSelect, onTechnique, onRoutes }: Props) {
  const position = map.position.get(table.position);
  if (!position) return null;
  const rows = (list: Row[]) =>
    list.map((row) => (
      <TableRow key={row.link} {...{ map, row, taughtAt, onTechnique }} onSelect={onSelect} />
    ));
  const drawnBy = (link: string | null) => {
    const technique = link && map.technique.get(map.link.get(link)?.technique ?? '')?.name;
    return technique ? ` on the ${technique.charAt(0).toLowerCase()}${technique.slice(1)}` : '';
  };
  return (
    <aside className={classes.sheet} aria-label={`Decision table: ${position.name}`} data-sheet={position.id}>
      <header>
        <h2>{position.name}</h2>
        <p className="quiet">
          {plain(map.stageOf(position.id))} · control {signed(position.control)} · {position.summary}
        </p>
        <div className={classes.eyes}>
          <Button variant="default" size="compact-sm" onClick={() => onSelect(table.counterpart)}>
            Swap eyes: {map.position.get(table.counterpart)?.name} (x)
          </Button>
          <Button variant="default" size="compact-sm" onClick={onRoutes}>
            Routes from here (r)
          </Button>
        </div>
        <button
          type="button"
          className={classes.close}
          aria-label="Close the sheet"
          onClick={() => onSelect(null)}
        >
          ×
        </button>
      </header>
      <p className="quiet">
        Chances from logged rounds with their span; “usual” is the family’s until there are some.
      </p>
      {waysLeftOut(table) > 0 && (
        <p className="quiet">
          The hill shows the eight best ways; {waysLeftOut(table)} more are in this table.
        </p>
      )}
      <Section title="On my own initiative">
        {table.own.length ? rows(table.own) : <p className="quiet">Nothing on the map yet.</p>}
      </Section>
      {table.answers.map((answer) => (
        <Section key={answer.reaction} title={`If ${answer.text}`} quiet={drawnBy(answer.link)}>
          {rows(answer.rows)}
        </Section>
      ))}
      {table.unanswered.length > 0 && (
        <Section title="Nobody has answered">
          <ul className={classes.open}>
            {table.unanswered.map((open) => (
              <li key={open.reaction}>
                {open.text}
                {drawnBy(open.link)}
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Section title="What they can do to me">
        {table.theirs.length ? rows(table.theirs) : <p className="quiet">Nothing on the map.</p>}
      </Section>
    </aside>
  );
}

function Section({ title, quiet, children }: { title: string; quiet?: string; children: ReactNode }) {
  return (
    <section className={classes.section}>
      <h3>
        {title}
        {quiet && <span className={classes.drawn}>{quiet}</span>}
      </h3>
      {children}
    </section>
  );
}

/** Below this many tries a chance says little. */
const ENOUGH = 5;

type RowProps = Pick<Props, 'map' | 'taughtAt' | 'onTechnique' | 'onSelect'> & { row: Row };

function TableRow({ map, row, taughtAt, onTechnique, onSelect }: RowProps) {
  const technique = map.technique.get(row.technique);
  if (!technique) return null;
  const rank = taughtAt(row.technique);
  return (
    <div className={classes.row}>
      <Glyph family={technique.family} group={technique.group} />
      <div>
        <button type="button" className={`plain ${classes.name}`} onClick={() => onTechnique(technique.id)}>
          {technique.name}
        </button>
        <div className={classes.where}>
          {row.lands ? (
            <button type="button" className="plain" onClick={() => onSelect(row.lands)}>
              → {map.position.get(row.lands)?.name}
            </button>
          ) : (
            '→ tap'
          )}
          {rank && ` · ${rank}`}
        </div>
        {row.needs.map((need) => (
          <div key={need.text} className={classes.where}>
            needs {need.text}
          </div>
        ))}
        {row.cautions
          .filter((caution) => caution.code !== 'TAP')
          .map((caution) => (
            <div key={caution.code} className={caution.level === 'FORBID' ? classes.forbid : classes.caution}>
              {caution.text}
            </div>
          ))}
      </div>
      <span className={classes.chance} title={`${count(row.chance.tries, 'try', 'tries')} in logged rounds`}>
        {percent(row.chance.estimate)}
        <span className={classes.sure}>
          {row.chance.tries === 0
            ? 'usual'
            : row.chance.tries < ENOUGH
              ? `${row.chance.tries}, too few`
              : `${Math.round(row.chance.low * 100)}–${Math.round(row.chance.high * 100)} of ${row.chance.tries}`}
        </span>
      </span>
    </div>
  );
}

import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { read } from '../../api/client';
import { useSession } from '../../api/club';
import type { MapIndex } from '../../api/map';
import type { DecisionTable, FromHere, Row } from '../../api/types';
import { waysLeftOut } from '../../hill/ways';
import { Glyph } from '../../ui/glyphs';
import { PrintFoot } from '../../ui/PrintFoot';
import { count, percent, plain, signed } from '../../ui/words';
import classes from './DecisionSheet.module.css';

type Props = {
  map: MapIndex;
  table: DecisionTable;
  taughtAt: (technique: string) => string | undefined;
  onSelect: (position: string | null) => void;
  onTechnique: (technique: string) => void;
  onRoutes: () => void;
  /** Opens a form; left out for those who may not change the map. */
  onEdit?: (what: Editing) => void;
};

/** What is being changed or added in the place of the decision table. */
export type Editing =
  | { what: 'position'; pair: string | null }
  | { what: 'link'; link: string | null; when: string | null }
  | { what: 'reaction'; reaction: string | null };

/** The decision table of a position, as a coach reads it out. */
export function DecisionSheet({ map, table, taughtAt, onSelect, onTechnique, onRoutes, onEdit }: Props) {
  const isCoach = useSession().data?.role !== 'VIEWER';
  const position = map.position.get(table.position);
  if (!position) return null;
  const rows = (list: Row[]) =>
    list.map((row) => (
      <TableRow key={row.link} {...{ map, row, taughtAt, onTechnique, onEdit }} onSelect={onSelect} />
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
        {position.cautions?.map((text) => (
          <div key={text} className={classes.caution}>
            {text}
          </div>
        ))}
        <div className={classes.eyes}>
          <Button variant="default" size="compact-sm" onClick={() => onSelect(table.counterpart)}>
            Swap eyes (x)
          </Button>
          <Button variant="default" size="compact-sm" onClick={onRoutes}>
            Routes (r)
          </Button>
          {onEdit && (
            <Button
              variant="default"
              size="compact-sm"
              onClick={() => onEdit({ what: 'position', pair: map.pairOf.get(position.id)?.id ?? null })}
            >
              Change
            </Button>
          )}
          <Button variant="default" size="compact-sm" onClick={() => window.print()} data-no-print>
            Print
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
      <Positional position={position.id} />
      {isCoach && (
        <p data-no-print>
          <Link to={`/rounds?at=${position.id}`}>Rounds that ended from here</Link>
        </p>
      )}
      <p className="quiet">
        Chances from logged rounds with their span; “usual” is the family’s until there are some.
        {waysLeftOut(table) > 0 &&
          ` The hill shows the eight best ways; ${waysLeftOut(table)} more are here.`}
      </p>
      <Section title="On my own initiative" counted={table.own.length > 0}>
        {table.own.length ? rows(table.own) : <p className="quiet">Nothing on the map yet.</p>}
        {onEdit && (
          <Add onClick={() => onEdit({ what: 'link', link: null, when: null })}>Add something to do here</Add>
        )}
      </Section>
      {table.answers.map((answer) => (
        <Section
          key={answer.reaction}
          title={`If ${answer.text}`}
          quiet={drawnBy(answer.link)}
          counted={answer.rows.length > 0}
        >
          {rows(answer.rows)}
          {onEdit && (
            <span className={classes.adds}>
              <Add onClick={() => onEdit({ what: 'link', link: null, when: answer.reaction })}>
                Another answer
              </Add>
              <Add onClick={() => onEdit({ what: 'reaction', reaction: answer.reaction })}>
                Change the reaction
              </Add>
            </span>
          )}
        </Section>
      ))}
      {table.unanswered.length > 0 && (
        <Section title="Nobody has answered">
          <ul className={classes.open}>
            {table.unanswered.map((open) => (
              <li key={open.reaction}>
                {open.text}
                {drawnBy(open.link)}
                {onEdit && (
                  <span className={classes.adds}>
                    <Add onClick={() => onEdit({ what: 'link', link: null, when: open.reaction })}>
                      Answer it
                    </Add>
                    <Add onClick={() => onEdit({ what: 'reaction', reaction: open.reaction })}>Change it</Add>
                  </span>
                )}
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Section title="What they can do to me" counted={table.theirs.length > 0}>
        {table.theirs.length ? rows(table.theirs) : <p className="quiet">Nothing on the map.</p>}
        {onEdit && (
          <Add onClick={() => onEdit({ what: 'reaction', reaction: null })}>
            Add what they may do about it
          </Add>
        )}
      </Section>
      <PrintFoot />
    </aside>
  );
}

function Add({ children, onClick }: { children: ReactNode; onClick: () => void }) {
  return (
    <button type="button" className={classes.add} onClick={onClick} data-no-print>
      {children}
    </button>
  );
}

type SectionProps = {
  title: string;
  quiet?: string;
  /** Whether its rows carry chances. */
  counted?: boolean;
  children: ReactNode;
};

function Section({ title, quiet, counted = false, children }: SectionProps) {
  return (
    <section className={classes.section}>
      <h3>
        <span>
          {title}
          {quiet && <span className={classes.drawn}>{quiet}</span>}
        </span>
        {counted && <span className={classes.drawn}>works</span>}
      </h3>
      {children}
    </section>
  );
}

/** Below this many tries a chance says little. */
const ENOUGH = 5;

type RowProps = Pick<Props, 'map' | 'taughtAt' | 'onTechnique' | 'onSelect' | 'onEdit'> & { row: Row };

function TableRow({ map, row, taughtAt, onTechnique, onSelect, onEdit }: RowProps) {
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
        {onEdit && (
          <button
            type="button"
            className={classes.change}
            aria-label={`Change ${technique.name} from here`}
            onClick={() => onEdit({ what: 'link', link: row.link, when: null })}
            data-no-print
          >
            change
          </button>
        )}
      </span>
    </div>
  );
}

/** How positional rounds from here ended; nothing where none were counted. */
function Positional({ position }: { position: string }) {
  const from = useQuery<FromHere>({
    queryKey: ['starts', position],
    queryFn: () => read(`/map/positions/${position}/starts`),
    staleTime: 60_000,
  }).data;
  if (!from || from.starts === 0) return null;
  return (
    <p>
      Positional rounds from here, last half year: <strong>{count(from.starts, 'start', 'starts')}</strong>,{' '}
      {count(from.escapes, 'escape', 'escapes')}.
    </p>
  );
}

import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useNames } from '../api/people';
import { useMet } from '../api/terms';
import type { Met, Name, OfPerson } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { nth } from '../ui/lists';
import { Scroll } from '../ui/Scroll';
import { Empty, Loaded } from '../ui/States';
import { count, date } from '../ui/words';
import classes from './Met.module.css';

/** Who has met which item of the term how often, and what was planned beside what was done. */
export function MetPage() {
  const { id = '' } = useParams();
  const met = useMet(id);
  const names = useNames();
  return (
    <Loaded query={met}>
      {(shown) => <Loaded query={names}>{(people) => <Table id={id} met={shown} people={people} />}</Loaded>}
    </Loaded>
  );
}

type Cell = { student: string; item: number } | null;

function Table({ id, met, people }: { id: string; met: Met; people: Name[] }) {
  const [cell, setCell] = useState<Cell>(null);
  const { items, people: rows } = met.exposure;
  const nameOf = new Map(people.map((one) => [one.id, one.calledBy]));
  const chosen = rows.find((row) => row.student === cell?.student);
  return (
    <>
      <PageHead title="Who has met what">
        <span className="quiet">{met.termName}</span>
        <Button component={Link} to={`/term/${id}`} variant="default">
          To the plan
        </Button>
      </PageHead>
      {items.length === 0 || rows.length === 0 ? (
        <Empty
          title={items.length === 0 ? 'Nothing is to be taught yet' : 'Nobody comes to this track yet'}
          isCoachs
          steps={[{ label: 'To the plan', to: `/term/${id}` }]}
        >
          Here stands how often each has met each item, because of the days on which they come.
        </Empty>
      ) : (
        <>
          <p role="status" className={classes.said}>
            {chosen && cell
              ? said(met, chosen, cell.item, nameOf.get(chosen.student) ?? chosen.student)
              : 'How often each has met it this term; a ring where they have not. Choose one to see the days. Who has missed most stands first.'}
          </p>
          <Scroll label="Who has met what" className={classes.body}>
            <table className={classes.table}>
              <thead>
                <tr>
                  <th scope="col">Name</th>
                  {items.map((item) => (
                    <th key={item.subject} scope="col">
                      <span>{item.name}</span>
                    </th>
                  ))}
                </tr>
                <tr className={classes.done}>
                  <th scope="row">Done, of planned</th>
                  {items.map((item) => (
                    <td
                      key={item.subject}
                      data-skipped={item.skipped > 0 || undefined}
                      title={`${item.name}: planned ${times(item.planned)} so far, done ${times(item.done)}, skipped ${times(item.skipped)}; ${item.ahead} to come`}
                    >
                      {item.planned === 0 ? item.done : `${item.done}/${item.planned}`}
                    </td>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map((row) => (
                  <tr key={row.student}>
                    <th scope="row">
                      <Link to={`/people/${row.student}`}>{nameOf.get(row.student) ?? row.student}</Link>
                      {row.never > 0 && <small>{row.never} not met</small>}
                    </th>
                    {row.met.map((on, n) => (
                      <td key={nth(items, n).subject}>
                        <button
                          type="button"
                          aria-label={`${on.length === 0 ? '○ not met' : on.length}: ${nameOf.get(row.student)}, ${nth(items, n).name}`}
                          aria-pressed={cell?.student === row.student && cell.item === n}
                          data-met={Math.min(3, on.length)}
                          onClick={() => setCell({ student: row.student, item: n })}
                        >
                          {on.length === 0 ? '○' : on.length}
                        </button>
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </Scroll>
        </>
      )}
    </>
  );
}

const times = (n: number) => (n === 0 ? 'never' : n === 1 ? 'once' : `${n} times`);

/** The days behind a number, and what is likely to come. */
function said(met: Met, row: OfPerson, item: number, name: string) {
  const on = nth(row.met, item).map((at) => date(nth(met.days, at)));
  const ahead = nth(row.ahead, item);
  const left = nth(met.exposure.items, item).ahead;
  return `${name} · ${nth(met.exposure.items, item).name}: ${on.length === 0 ? 'not met' : `met on ${on.join(', ')}`}. ${
    left === 0
      ? 'It does not come again.'
      : `It comes ${count(left, 'time', 'times')} more; the way ${name} comes, about ${ahead.toFixed(1)} of them.`
  }`;
}

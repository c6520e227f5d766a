import { Button, MultiSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useWelcome } from '../api/club';
import { useToday } from '../api/mat';
import { useBoard } from '../api/promote';
import { PageHead } from '../frame/PageHead';
import { PrintFoot } from '../ui/PrintFoot';
import { Scroll } from '../ui/Scroll';
import { Loaded } from '../ui/States';
import classes from './Charts.module.css';
import { daysOf } from './chart';
import { monthOf } from './month';
import { OnLadder } from './OnLadder';

const ROWS = ['Helped at home', 'Homework', 'Exercise', 'Ate well', 'In bed on time'];

/** A month's chart to print for those a coach picks. What is ticked on it stays at home; here only that it was seen is kept. */
export function ChartsPage() {
  return (
    <OnLadder
      title="Home chart"
      about="A month to print for those a coach picks, with what is asked of them at home."
    >
      {(ladder) => <Charts id={ladder.id} />}
    </OnLadder>
  );
}

function Charts({ id }: { id: string }) {
  const board = useBoard(id);
  const today = useToday();
  const [month, setMonth] = useState(today.slice(0, 7));
  const [chosen, setChosen] = useState<string[]>([]);
  const club = useWelcome().data?.club;
  return (
    <>
      <PageHead title="Home chart" print={false} mat={false}>
        <Button disabled={chosen.length === 0} onClick={() => window.print()}>
          Print, or save as PDF
        </Button>
        <Link to={`/people/promotions?ladder=${id}`}>Back to the board</Link>
      </PageHead>
      <Loaded query={board}>
        {(view) => (
          <Scroll label="Home chart" className={classes.body}>
            <div className={classes.bar} data-no-print>
              <MultiSelect
                label="For whom"
                placeholder={chosen.length === 0 ? 'Those you pick' : ''}
                searchable
                data={view.standing
                  .map((one) => ({ value: one.flag.student, label: one.name }))
                  .sort((a, b) => a.label.localeCompare(b.label))}
                value={chosen}
                onChange={setChosen}
              />
              <TextInput
                label="Month"
                type="month"
                value={month}
                onChange={(event) => event.currentTarget.value && setMonth(event.currentTarget.value)}
              />
            </div>
            {chosen.length === 0 && <p className="quiet">Each gets a page of their own.</p>}
            {chosen.map((student) => (
              <article key={student} className={classes.chart}>
                <h2>{view.standing.find((one) => one.flag.student === student)?.name}</h2>
                <p>
                  {monthOf(`${month}-01`)} · {club}
                </p>
                <table>
                  <thead>
                    <tr>
                      <th scope="col">
                        <span className="quiet">Tick what was done</span>
                      </th>
                      {daysOf(month).map((day) => (
                        <th key={day} scope="col">
                          {day}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {ROWS.map((row) => (
                      <tr key={row}>
                        <th scope="row">{row}</th>
                        {daysOf(month).map((day) => (
                          <td key={day} />
                        ))}
                      </tr>
                    ))}
                  </tbody>
                </table>
                <p>Show it to your coach at the end of the month. It stays yours.</p>
                <PrintFoot />
              </article>
            ))}
          </Scroll>
        )}
      </Loaded>
    </>
  );
}

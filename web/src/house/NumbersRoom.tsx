import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { type Problem, sendEdit } from '../api/client';
import { useNumbers, useSession } from '../api/club';
import type { ClubNumbers, Numbers } from '../api/types';
import { HistoryFold } from '../form/History';
import { useChanged, useSayDone } from '../form/useEdit';
import { Loaded } from '../ui/States';
import { plain } from '../ui/words';
import classes from './NumbersRoom.module.css';

/** What stands together on the page, and what is said of it. */
const TOGETHER = [
  {
    title: 'Who is young, who is new',
    says: 'Falls, pairs and live rounds go by these. Those who are not of age yet have a guardian who is asked.',
    fields: ['juniorsBelow', 'ofAge', 'newWeeks', 'liveWeeks'],
  },
  {
    title: 'Room on the mat',
    says: 'From these and the size of the mat comes how many pairs can throw at once.',
    fields: ['throwMetres', 'groundMetres'],
  },
  {
    title: 'Weight and age in pairs',
    says: 'These protect: they can be made smaller, not larger.',
    fields: ['weightGap', 'juniorLiveGap', 'juniorKg', 'juniorLiveKg', 'juniorYears'],
  },
  {
    title: 'Falls in a class',
    says: 'For each person. They can be made fewer; for one class a head coach may write why there are more.',
    fields: ['fewFalls', 'mostFalls'],
  },
] as const;

/** The numbers by which the club keeps its people safe. */
export function NumbersRoom() {
  const query = useNumbers();
  const isHead = useSession().data?.role === 'HEAD';
  return (
    <Loaded query={query}>
      {({ value, tag }) => <Form key={tag} shown={value} tag={tag} readOnly={!isHead} />}
    </Loaded>
  );
}

function Form({ shown, tag, readOnly }: { shown: Numbers; tag: string; readOnly: boolean }) {
  const [numbers, setNumbers] = useState<ClubNumbers>(shown.numbers);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [saving, setSaving] = useState(false);
  const changed = useChanged();
  const sayDone = useSayDone();
  const isChanged = JSON.stringify(numbers) !== JSON.stringify(shown.numbers);
  const save = async () => {
    setSaving(true);
    setProblem(null);
    try {
      const { edit } = await sendEdit('PUT', '/numbers', numbers, tag);
      await changed('numbers');
      sayDone('The club’s numbers are kept.', edit);
    } catch (error) {
      setProblem(error as Problem);
    } finally {
      setSaving(false);
    }
  };
  const raise = (hazard: string, part: { from?: number; shownBelow?: number }) => {
    const usual = shown.hazards.find((one) => one.hazard === hazard);
    if (!usual) return;
    const now = numbers.ages.find((one) => one.hazard === hazard) ?? usual;
    const next = { hazard: usual.hazard, from: now.from, shownBelow: now.shownBelow, ...part };
    const isUsual = next.from === usual.from && next.shownBelow === usual.shownBelow;
    const others = numbers.ages.filter((one) => one.hazard !== hazard);
    setNumbers({ ...numbers, ages: isUsual ? others : [...others, next] });
  };
  return (
    <form
      aria-label="The club’s numbers"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      {TOGETHER.map(({ title, says, fields }) => (
        <section key={title}>
          <h2>{title}</h2>
          <p className="quiet">{says}</p>
          <div className={classes.numbers}>
            {fields.map((field) => {
              const bound = shown.bounds.find((one) => one.field === field);
              return (
                bound && (
                  <NumberInput
                    key={field}
                    label={bound.words}
                    description={`${bound.least} to ${bound.most} ${bound.unit}; usual is ${bound.usual}`}
                    error={problem?.where === `/${field}` ? problem.message : undefined}
                    readOnly={readOnly}
                    min={bound.least}
                    max={bound.most}
                    step={field.endsWith('Metres') || field.endsWith('Kg') ? 0.5 : 1}
                    decimalScale={field.endsWith('Metres') || field.endsWith('Kg') ? 1 : 0}
                    value={numbers[field]}
                    onChange={(value) => value !== '' && setNumbers({ ...numbers, [field]: Number(value) })}
                  />
                )
              );
            })}
          </div>
        </section>
      ))}
      <section>
        <h2>From which age</h2>
        <p className="quiet">
          Ages can be raised, not lowered. Where rules of a bout are stricter, those hold.
        </p>
        <table className={classes.ages}>
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Trained from</th>
              <th scope="col">Only shown below</th>
            </tr>
          </thead>
          <tbody>
            {shown.hazards.map((usual) => {
              const now = numbers.ages.find((one) => one.hazard === usual.hazard) ?? usual;
              return (
                <tr key={usual.hazard}>
                  <th scope="row">
                    {plain(usual.hazard)}
                    <span className="quiet">{usual.says}</span>
                  </th>
                  {(['from', 'shownBelow'] as const).map((field) => (
                    <td key={field}>
                      <NumberInput
                        aria-label={`${plain(usual.hazard)}: ${field === 'from' ? 'trained from' : 'only shown below'}`}
                        readOnly={readOnly}
                        min={usual[field]}
                        max={99}
                        w={92}
                        value={now[field]}
                        onChange={(value) => value !== '' && raise(usual.hazard, { [field]: Number(value) })}
                      />
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      {problem && !shown.bounds.some((bound) => problem.where === `/${bound.field}`) && (
        <p role="alert">{problem.message}</p>
      )}
      {!readOnly && (
        <div className={classes.foot}>
          <Button type="submit" loading={saving} disabled={!isChanged}>
            Keep these numbers
          </Button>
          {isChanged && (
            <Button variant="default" onClick={() => setNumbers(shown.numbers)}>
              As they were
            </Button>
          )}
        </div>
      )}
      {shown.isOwn && <HistoryFold kind="numbers" id="club" canUndo={!readOnly} />}
    </form>
  );
}

import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useCycleWanted } from '../../api/terms';
import type { CycleView, ThemeCycle } from '../../api/types';
import { nth } from '../../ui/lists';
import { date } from '../../ui/words';
import { AddByName, NeededNext, type Subject } from '../Adding';
import term from '../Term.module.css';
import classes from './Cycle.module.css';
import { nextOf, themeMoved, without, withTheme } from './themes';

type Props = {
  view: CycleView;
  n: number;
  onMove?: (subject: string, name: string, from: number, to: number) => void;
  /** Keeps changed weeks, with what is said of it; missing where nothing is changed. */
  onChange?: (cycle: ThemeCycle, says: string) => Promise<unknown>;
  onClose: () => void;
  onGo: (n: number) => void;
};

/** One theme week: what its classes will be, and everything that can be done with it. */
export function ThemePanel({ view, n, onMove, onChange, onClose, onGo }: Props) {
  const { cycle, themes } = view;
  const theme = nth(themes, n);
  const next = nextOf(view, n);
  const notes = view.notes.filter((note) => note.theme === n);
  const wanted = useCycleWanted(cycle.id);
  const [name, setName] = useState(theme.name);
  const has = new Set(cycle.themes.flatMap((one) => one.subjects));
  const others = themes
    .map((one, at) => ({ value: String(at), label: `${at + 1} ${one.name}` }))
    .filter(({ value }) => value !== String(n));
  const put = (to: number) => async () => {
    if (await onChange?.(themeMoved(cycle, n, to), `${theme.name} is week ${to + 1}.`)) onGo(to);
  };
  const add = (subjects: Subject[]) =>
    void onChange?.(
      withTheme(cycle, n, {
        subjects: [
          ...nth(cycle.themes, n).subjects,
          ...subjects.map(({ technique, chain }) => technique ?? chain ?? ''),
        ],
      }),
      `${subjects.map((one) => one.name).join(', ')} in ${theme.name}.`,
    );
  return (
    <>
      <div className={term.panelHead}>
        <h2>Week {n + 1}</h2>
        <Button size="compact-md" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </div>
      {onChange && (
        <>
          <TextInput
            label="Theme"
            maxLength={60}
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
            onBlur={() => {
              const fresh = name.trim();
              if (fresh === '') setName(theme.name);
              else if (fresh !== theme.name)
                void onChange(withTheme(cycle, n, { name: fresh }), 'The theme has its name.');
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
          <p className={term.acts}>
            <Button variant="default" size="compact-md" disabled={n === 0} onClick={put(n - 1)}>
              Earlier
            </Button>
            <Button
              variant="default"
              size="compact-md"
              disabled={n === themes.length - 1}
              onClick={put(n + 1)}
            >
              Later
            </Button>
            <Button
              variant="subtle"
              size="compact-md"
              onClick={async () => {
                if (await onChange(without(cycle, n), `${theme.name} is taken out.`)) onClose();
              }}
            >
              Take the week out
            </Button>
          </p>
        </>
      )}
      {notes.map((note) => (
        <p key={note.sentence} role="status" className={term.breaks}>
          {note.sentence}
        </p>
      ))}
      {onChange && (
        <>
          <ul className={classes.items} aria-label="Shown in this week">
            {theme.subjects.map((one) => (
              <li key={one.subject}>
                <strong>{one.name}</strong>
                <small>{one.minutes} min</small>
                {onMove && others.length > 0 && (
                  <Select
                    aria-label={`Week of ${one.name}`}
                    placeholder="move to …"
                    size="xs"
                    data={others}
                    value={null}
                    onChange={(to) => to !== null && onMove(one.subject, one.name, n, Number(to))}
                  />
                )}
                <Button
                  size="compact-sm"
                  variant="subtle"
                  aria-label={`Drop ${one.name}`}
                  onClick={() =>
                    void onChange(
                      withTheme(cycle, n, {
                        subjects: nth(cycle.themes, n).subjects.filter((id) => id !== one.subject),
                      }),
                      `${one.name} is dropped.`,
                    )
                  }
                >
                  drop
                </Button>
              </li>
            ))}
          </ul>
          <AddByName has={has} onAdd={(subject) => add([subject])} />
        </>
      )}
      {next && (
        <>
          <h3>When it is next</h3>
          <ul className={classes.classes}>
            {next.classes.map((one) => (
              <li key={one.id}>
                <Link to={`/mat/${one.id}`}>{date(one.date)}</Link>
                {one.shown.length === 0 && <span className="quiet">nothing</span>}
                {one.shown.map((shown) => (
                  <span key={shown.subject} data-again={!shown.first || undefined}>
                    {shown.name}{' '}
                    <small>{shown.first ? `${shown.minutes} min` : `again, ${shown.minutes} min`}</small>
                  </span>
                ))}
              </li>
            ))}
          </ul>
        </>
      )}
      {onChange && <NeededNext wanted={wanted} has={has} onAdd={add} />}
    </>
  );
}

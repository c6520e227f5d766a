import { Button } from '@mantine/core';
import { Link, useLocation } from 'react-router';
import type { Problem } from '../api/client';
import { settles } from '../ui/settle';
import classes from './Edit.module.css';
import { inWords } from './fields';

type Props = {
  problem: Problem | null;
  /** What was typed. */
  mine: object;
  /** What stands there now, once it is known that somebody else saved it. */
  theirs?: object;
  onTheirs: () => void;
  onMine: () => void;
};

/** Why it was not saved: the rule, or, when somebody else was faster, both versions field by field. */
export function Refused({ problem, mine, theirs, onTheirs, onMine }: Props) {
  const { pathname } = useLocation();
  if (!problem) return null;
  const settle = settles(problem, pathname);
  if (problem.code !== 'STALE' || !theirs) {
    return (
      <div role="alert" className={classes.refused}>
        <strong>Not saved.</strong> {problem.message} {settle && <Link to={settle.to}>{settle.label}</Link>}{' '}
        <span className={classes.rule}>{problem.code.replaceAll('_', ' ').toLowerCase()}</span>
      </div>
    );
  }
  const a = mine as Record<string, unknown>;
  const b = theirs as Record<string, unknown>;
  const fields = [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
    (name) => JSON.stringify(a[name]) !== JSON.stringify(b[name]),
  );
  return (
    <section role="alert" className={classes.refused} aria-label="Yours and theirs">
      <p>
        <strong>Somebody else saved this meanwhile.</strong> Nothing of yours is lost; choose.
      </p>
      <table className={classes.both}>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Yours</th>
            <th scope="col">Theirs</th>
          </tr>
        </thead>
        <tbody>
          {fields.map((name) => (
            <tr key={name}>
              <th scope="row">{inWords(name)}</th>
              <td>{said(a[name])}</td>
              <td>{said(b[name])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className={classes.buttons}>
        <Button onClick={onMine}>Save mine</Button>
        <Button variant="default" onClick={onTheirs}>
          Take theirs
        </Button>
      </div>
    </section>
  );
}

/** A value of a card as a coach reads it. */
export function said(value: unknown): string {
  if (value === null || value === undefined || value === '') return '—';
  if (Array.isArray(value)) return value.length === 0 ? '—' : value.map(said).join('; ');
  if (typeof value === 'object') {
    const whole = value as Record<string, unknown>;
    const main = whole.text ?? whole.name ?? whole.see;
    return main
      ? String(main)
      : Object.entries(whole)
          .map(([k, v]) => `${inWords(k)} ${said(v)}`)
          .join(', ');
  }
  return String(value);
}

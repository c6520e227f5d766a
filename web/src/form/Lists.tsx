import { ActionIcon, Button, Textarea } from '@mantine/core';
import type { ReactNode } from 'react';
import { stepped } from '../ui/lists';
import classes from './Edit.module.css';
import { useErrorAt } from './useDraft';

type RowsProps<T> = {
  label: string;
  rows: T[];
  onChange: (rows: T[]) => void;
  /** A new row. */
  blank: () => T;
  children: (row: T, change: (row: T) => void, n: number) => ReactNode;
  add?: string;
  /** Its path in the form, for what is wrong with the list as a whole. */
  at?: string;
};

/** A list in a form: each row with its fields, up, down and out; one more at the foot. */
export function Rows<T>({ label, rows, onChange, blank, children, add = 'Add', at }: RowsProps<T>) {
  const error = useErrorAt();
  const wrong = at && error(at);
  const put = (n: number, row: T) => onChange(rows.map((r, i) => (i === n ? row : r)));
  const up = (n: number) => onChange(stepped(rows, n, -1));
  return (
    <fieldset className={classes.rows}>
      <legend>{label}</legend>
      {rows.map((row, n) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows have no id of their own and keep their fields while they move
        <div key={n} className={classes.line}>
          <div>{children(row, (next) => put(n, next), n)}</div>
          <div className={classes.tools}>
            <ActionIcon
              variant="subtle"
              size={32}
              aria-label={`Move ${label} ${n + 1} up`}
              disabled={n === 0}
              onClick={() => up(n)}
            >
              ↑
            </ActionIcon>
            <ActionIcon
              variant="subtle"
              size={32}
              aria-label={`Move ${label} ${n + 1} down`}
              disabled={n === rows.length - 1}
              onClick={() => up(n + 1)}
            >
              ↓
            </ActionIcon>
            <ActionIcon
              variant="subtle"
              size={32}
              aria-label={`Take ${label} ${n + 1} out`}
              onClick={() => onChange(rows.filter((_, i) => i !== n))}
            >
              ×
            </ActionIcon>
          </div>
        </div>
      ))}
      {wrong && <p className={classes.wrong}>{wrong}</p>}
      <Button variant="default" size="compact-md" onClick={() => onChange([...rows, blank()])}>
        {add}
      </Button>
    </fieldset>
  );
}

type TextsProps = {
  label: string;
  /** Its path in the form. */
  at: string;
  texts: string[];
  onChange: (texts: string[]) => void;
  add?: string;
};

/** A list of sentences. */
export function Texts({ label, at, texts, onChange, add }: TextsProps) {
  const error = useErrorAt();
  return (
    <Rows label={label} at={at} rows={texts} onChange={onChange} blank={() => ''} add={add}>
      {(text, change, n) => (
        <Textarea
          aria-label={`${label} ${n + 1}`}
          autosize
          minRows={1}
          error={error(`${at}.${n}`)}
          value={text}
          onChange={(event) => change(event.currentTarget.value)}
        />
      )}
    </Rows>
  );
}

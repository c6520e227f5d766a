import { Button, SegmentedControl, Select } from '@mantine/core';
import { useState } from 'react';
import type { PreviewLine } from '../api/types';
import { count } from '../ui/words';
import classes from './Exchange.module.css';
import { DATE_WAYS, type Looked, SHEETS, type SheetKind } from './exchange';

type Props = {
  looked: Extract<Looked, { kind: 'sheet' }>;
  busy: boolean;
  onLook: (sheet: SheetKind, dates: string | null) => void;
  onTake: (skipBad: boolean) => void;
};

const WORDS: Record<PreviewLine['what'], string> = {
  ADD: 'new',
  CHANGE: 'changes',
  SAME: 'the same',
  BAD: 'bad',
};

/** A sheet before it is taken: how it was read, what each line would do, which lines are bad and why. */
export function SheetPreview({ looked, busy, onLook, onTake }: Props) {
  const { preview, sheet, dates, file } = looked;
  const [only, setOnly] = useState<PreviewLine['what'] | null>(preview.bad > 0 ? 'BAD' : null);
  const counts = [
    { what: 'ADD' as const, n: preview.add },
    { what: 'CHANGE' as const, n: preview.change },
    { what: 'SAME' as const, n: preview.same },
    { what: 'BAD' as const, n: preview.bad },
  ];
  const shown = preview.lines.filter((line) => only === null || line.what === only);
  const takes = preview.add + preview.change;
  return (
    <div className={classes.preview}>
      <div className={classes.read}>
        <SegmentedControl
          aria-label="What the sheet is about"
          data={SHEETS}
          value={sheet}
          onChange={(value) => onLook(value as SheetKind, dates)}
        />
        <span>
          {file.name}, read as {preview.encoding}, columns parted by{' '}
          {preview.delimiter === 'tab' ? 'tabs' : `“${preview.delimiter}”`}
        </span>
        {preview.dates && (
          <Select
            aria-label="How dates are written"
            data={DATE_WAYS.map((way) => ({ value: way, label: `dates like ${way}` }))}
            value={preview.dates}
            allowDeselect={false}
            w={220}
            onChange={(value) => onLook(sheet, value)}
          />
        )}
      </div>
      {preview.datesAmbiguous && !dates && (
        <p className={classes.doubt}>
          The dates can be read in more than one way. Look at them below, or choose how they are written.
        </p>
      )}
      {preview.ignored.length > 0 && <p className="quiet">Not used: {preview.ignored.join(', ')}.</p>}
      <fieldset className={classes.counts}>
        <legend className="unseen">Show only</legend>
        {counts.map(({ what, n }) => (
          <button
            key={what}
            type="button"
            data-what={what}
            aria-pressed={only === what}
            disabled={n === 0 || what === 'SAME'}
            onClick={() => setOnly(only === what ? null : what)}
          >
            <strong>{n}</strong> {WORDS[what]}
          </button>
        ))}
      </fieldset>
      {shown.length > 0 && (
        <table className={classes.lines}>
          <thead>
            <tr>
              <th scope="col">Line</th>
              <th scope="col">What</th>
              <th scope="col">About</th>
              <th scope="col">Why</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((line) => (
              <tr key={line.line} data-what={line.what}>
                <td>{line.line}</td>
                <td>{WORDS[line.what]}</td>
                <td>{line.about}</td>
                <td>{line.why}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Button loading={busy} disabled={takes === 0} onClick={() => onTake(preview.bad > 0)}>
        {takes === 0
          ? 'Nothing to take in'
          : `Take in ${count(takes, 'line', 'lines')}${preview.bad > 0 ? `, leave out ${preview.bad} bad` : ''}`}
      </Button>
    </div>
  );
}

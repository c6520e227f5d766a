import { useState } from 'react';
import { useHistory } from '../api/club';
import type { Edited } from '../api/types';
import { Loaded } from '../ui/States';
import { date } from '../ui/words';
import classes from './Edit.module.css';
import { inWords } from './fields';
import { said } from './Refused';
import { TakeBack } from './TakeBack';

type Props = {
  kind: string;
  id: string;
  canUndo: boolean;
  /** What differs, a line each, where fields would not say it. */
  differ?: (edited: Edited) => string[];
};

/** What was done to one thing, the newest first; the head coach takes it back from here. */
export function History({ kind, id, canUndo, differ }: Props) {
  const query = useHistory(kind, id);
  return (
    <Loaded query={query}>
      {(edits) =>
        edits.length === 0 ? (
          <p className="quiet">Nobody has changed this since it came into the club.</p>
        ) : (
          <ol className={classes.history}>
            {edits.map((edited) => (
              <li key={edited.edit}>
                <strong>
                  {whatOf(edited)} by {edited.who}, {date(edited.at)}
                </strong>
                {differ ? (
                  differ(edited).map((line) => (
                    <div key={line} className="quiet">
                      {line}
                    </div>
                  ))
                ) : (
                  <Differences edited={edited} />
                )}
                {canUndo && <TakeBack edit={edited.edit} />}
              </li>
            ))}
          </ol>
        )
      }
    </Loaded>
  );
}

/** The same, read when somebody opens it. */
export function HistoryFold(props: Props) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details className={classes.fold} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>What was changed here before</summary>
      {isOpen && <History {...props} />}
    </details>
  );
}

const bodyOf = (node: unknown) => node as Record<string, unknown> | null;

export const whatOf = (edited: Edited): string => {
  const after = bodyOf(edited.after);
  if (!edited.before) return 'Added';
  if (!after) return 'Removed';
  return after.retired && !bodyOf(edited.before)?.retired ? 'Retired' : 'Changed';
};

/** Each field that differs: what it said, and what it says. */
export function Differences({ edited }: { edited: Edited }) {
  const before = bodyOf(edited.before);
  const after = bodyOf(edited.after);
  if (!before || !after) return null;
  return (
    <>
      {edited.fields.map((field) => (
        <div key={field} className="quiet">
          {inWords(field)}: {said(before[field])} → {said(after[field])}
        </div>
      ))}
    </>
  );
}

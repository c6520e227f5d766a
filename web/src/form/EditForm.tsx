import { Button } from '@mantine/core';
import { type ReactNode, useRef, useState } from 'react';
import { readTaggedAs } from '../api/client';
import classes from './Edit.module.css';
import { History } from './History';
import { Refused } from './Refused';
import { type Draft, ErrorsContext, type Opened } from './useDraft';
import { PLACES, type Place, readFrom, useEdit } from './useEdit';

type Props<T extends { id: string }> = {
  title: string;
  place: Place;
  draft: Draft<T>;
  /** What is sent: what was typed, with an id if it is new. */
  body: T;
  done: string;
  /** Reads what stands there now, if it is not read from its place. */
  current?: () => Promise<{ value: T; tag: string }>;
  /** Told of what is kept now; null: it is retired. */
  onDone: (kept: T | null) => void;
  onCancel: () => void;
  children: ReactNode;
  /** What the button says that goes away without saving. */
  leave?: string;
  /** What retiring it says; left out where it cannot be retired. */
  retired?: string;
  /** What the button says where it is taken out for good, not retired. */
  retire?: string;
};

/**
 * A form over one thing: checks it, saves it, says why not and at which field, shows both versions when two
 * saved at once, retires it.
 */
export function EditForm<T extends { id: string }>(props: Props<T>) {
  const { title, place, draft, body, done, onDone, onCancel, children, retired } = props;
  const { tag } = draft;
  const edit = useEdit(draft.refused);
  const form = useRef<HTMLFormElement>(null);
  const [theirs, setTheirs] = useState<Opened<T> | null>(null);
  const [sure, setSure] = useState(false);
  const [history, setHistory] = useState(false);
  const current = props.current ?? (() => readTaggedAs<T>(readFrom(place, body.id)));

  /** The first field that is to be put right is shown and takes the focus, wherever in a long form it stands. */
  const toFirstError = () =>
    requestAnimationFrame(() => form.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
  const save = async (withTag: string | null) => {
    if (!draft.isGood()) {
      toFirstError();
      return;
    }
    const kept = await edit.save({ place, body, tag: withTag, done });
    if (kept) {
      onDone(kept);
      return;
    }
    toFirstError();
    if (withTag) setTheirs(await current().catch(() => null));
  };
  const retire = async () => {
    if (!retired || tag === null) return;
    if (await edit.retire(place, body.id, theirs?.tag ?? tag, retired)) onDone(null);
    else setTheirs(await current().catch(() => null));
  };
  return (
    <form
      ref={form}
      className={classes.form}
      aria-label={title}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        save(tag);
      }}
    >
      <h2>{title}</h2>
      <ErrorsContext value={draft.errors}>{children}</ErrorsContext>
      {Object.keys(draft.errors).length > 0 && (
        <p role="alert" className={classes.wrong}>
          {Object.keys(draft.errors).length === 1
            ? 'One field is to be put right; it is marked.'
            : `${Object.keys(draft.errors).length} fields are to be put right; they are marked.`}
        </p>
      )}
      <Refused
        problem={edit.problem}
        mine={body}
        theirs={theirs?.value}
        onMine={() => save(theirs?.tag ?? tag)}
        onTheirs={() => {
          edit.forget();
          if (theirs) draft.take(theirs);
        }}
      />
      <div className={`${classes.buttons} ${classes.foot}`}>
        <Button type="submit" loading={edit.saving}>
          Save
        </Button>
        <Button variant="default" onClick={onCancel}>
          {props.leave ?? 'Cancel'}
        </Button>
        {tag !== null && (
          <Button variant="default" aria-expanded={history} onClick={() => setHistory(!history)}>
            History
          </Button>
        )}
        {retired && tag !== null && (
          <Button variant="default" onClick={() => (sure ? retire() : setSure(true))}>
            {sure ? `Yes, ${(props.retire ?? 'retire it').toLowerCase()}` : (props.retire ?? 'Retire')}
          </Button>
        )}
      </div>
      {sure && !props.retire && (
        <p className="quiet">
          Retired, it disappears from choices; chains and records that name it keep it. It can be undone.
        </p>
      )}
      {history && <History kind={PLACES[place].kind} id={body.id} canUndo />}
    </form>
  );
}

import { Button } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { readTagged } from '../../api/client';
import classes from './Edit.module.css';
import { History } from './History';
import { Refused } from './Refused';
import { PLACES, type Place, useMapEdit } from './useMapEdit';

type Props<T extends { id: string }> = {
  title: string;
  place: Place;
  /** The thing as typed so far. */
  draft: T;
  /** The tag it was opened with; null: it is new. */
  tag: string | null;
  done: string;
  /** Reads what stands there now, if it is not read from its place. */
  current?: () => Promise<{ value: T; tag: string }>;
  onTheirs: (theirs: T, tag: string) => void;
  onDone: () => void;
  onCancel: () => void;
  children: ReactNode;
  /** What retiring it says; left out where it cannot be retired. */
  retired?: string;
};

const READ_FROM = { positions: 'pairs', links: 'links', reactions: 'reactions', techniques: 'techniques' };

/** A form over one part of the map: saves it, says why not, shows both versions when two saved at once, retires it. */
export function EditForm<T extends { id: string }>(props: Props<T>) {
  const { title, place, draft, tag, done, onTheirs, onDone, onCancel, children, retired } = props;
  const edit = useMapEdit();
  const [theirs, setTheirs] = useState<{ value: T; tag: string } | null>(null);
  const [sure, setSure] = useState(false);
  const [history, setHistory] = useState(false);
  const current =
    props.current ?? (() => readTagged<T>(`/map/${READ_FROM[place]}/${encodeURIComponent(draft.id)}`));

  const save = async (withTag: string | null) => {
    if (await edit.save({ place, body: draft, tag: withTag, done })) onDone();
    else if (withTag) setTheirs(await current().catch(() => null));
  };
  const retire = async () => {
    if (!retired || tag === null) return;
    if (await edit.retire(place, draft.id, theirs?.tag ?? tag, retired)) onDone();
    else setTheirs(await current().catch(() => null));
  };
  return (
    <form
      className={classes.form}
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        save(tag);
      }}
    >
      <h2>{title}</h2>
      {children}
      <Refused
        problem={edit.problem}
        mine={draft}
        theirs={theirs?.value}
        onMine={() => save(theirs?.tag ?? tag)}
        onTheirs={() => {
          edit.forget();
          if (theirs) onTheirs(theirs.value, theirs.tag);
        }}
      />
      <div className={`${classes.buttons} ${classes.foot}`}>
        <Button type="submit" loading={edit.saving}>
          Save
        </Button>
        <Button variant="default" onClick={onCancel}>
          Leave it
        </Button>
        {tag !== null && (
          <Button variant="default" aria-expanded={history} onClick={() => setHistory(!history)}>
            History
          </Button>
        )}
        {retired && tag !== null && (
          <Button variant="default" onClick={() => (sure ? retire() : setSure(true))}>
            {sure ? 'Yes, retire it' : 'Retire'}
          </Button>
        )}
      </div>
      {sure && (
        <p className="quiet">
          Retired, it disappears from choices; chains and records that name it keep it. It can be undone.
        </p>
      )}
      {history && <History kind={PLACES[place]} id={draft.id} canUndo />}
    </form>
  );
}

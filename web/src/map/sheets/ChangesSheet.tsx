import { Button } from '@mantine/core';
import type { UseQueryResult } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { MapIndex } from '../../api/map';
import type { Edited } from '../../api/types';
import { Differences, whatOf } from '../../form/History';
import { TakeBack } from '../../form/TakeBack';
import { touchedBy } from '../../hill/soil';
import { Loaded } from '../../ui/States';
import { count, date } from '../../ui/words';
import sheet from './DecisionSheet.module.css';
import classes from './GapSheet.module.css';

type Props = {
  map: MapIndex;
  since: string | null;
  query: UseQueryResult<Edited[]>;
  canUndo: boolean;
  onSelect: (position: string) => void;
  onClose: () => void;
};

/** What is different from what it was on a day, the newest first. */
export function ChangesSheet({ map, since, query, canUndo, onSelect, onClose }: Props) {
  return (
    <aside className={sheet.sheet} aria-label="Changes" data-sheet="changes">
      <h2>{since ? `Since ${date(since)}` : 'Since when?'}</h2>
      <button type="button" className={sheet.close} aria-label="Close the sheet" onClick={onClose}>
        ×
      </button>
      {since === null ? (
        <p>Choose a day at the foot of the hill.</p>
      ) : (
        <Loaded query={query}>
          {(changes) => (
            <>
              <p className="quiet">{count(changes.length, 'thing is different', 'things are different')}.</p>
              <ul className={classes.place}>
                {[...changes].reverse().map((edited) => {
                  const at = touchedBy(map, edited)[0];
                  return (
                    <li key={`${edited.kind} ${edited.id}`}>
                      <div>
                        <strong>{whatOf(edited)}</strong> {edited.kind}{' '}
                        {edited.kind === 'technique' ? (
                          <Link to={`/map/techniques/${edited.id}`}>
                            {map.technique.get(edited.id)?.name ?? edited.id}
                          </Link>
                        ) : (
                          nameOf(map, edited)
                        )}
                        <div className="quiet">
                          by {edited.who}, {date(edited.at)}
                        </div>
                        <Differences edited={edited} />
                        <div className={classes.buttons}>
                          {at && (
                            <Button variant="default" size="compact-sm" onClick={() => onSelect(at)}>
                              Go there
                            </Button>
                          )}
                          {canUndo && (
                            <TakeBack
                              edit={edited.edit}
                              size="compact-sm"
                              label="Take the last change back"
                            />
                          )}
                        </div>
                      </div>
                    </li>
                  );
                })}
              </ul>
            </>
          )}
        </Loaded>
      )}
    </aside>
  );
}

function nameOf(map: MapIndex, edited: Edited): string {
  const body = (edited.after ?? edited.before) as Record<string, unknown> | null;
  if (edited.kind === 'pair') return map.data.pairs.find((p) => p.id === edited.id)?.first.name ?? edited.id;
  if (edited.kind === 'link') {
    const technique = map.technique.get(String(body?.technique))?.name;
    return `${technique} from ${map.position.get(String(body?.from))?.name}`;
  }
  return String(body?.text ?? body?.name ?? edited.id);
}

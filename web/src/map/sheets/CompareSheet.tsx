import { Link } from 'react-router';
import type { MapIndex } from '../../api/map';
import type { LadderView } from '../../api/types';
import type { Soils } from '../../hill/soil';
import { Glyph } from '../../ui/glyphs';
import { count, FAMILIES, plain } from '../../ui/words';
import { addedBetween } from './compare';
import sheet from './DecisionSheet.module.css';
import classes from './GapSheet.module.css';

type Props = {
  map: MapIndex;
  view: LadderView;
  rank: string;
  versus: string;
  soil?: Soils;
  onSelect: (position: string) => void;
  onClose: () => void;
};

/** What one rank adds to another: techniques by family, and the plots they open. */
export function CompareSheet({ map, view, rank, versus, soil = {}, onSelect, onClose }: Props) {
  const { higher, lower, techniques } = addedBetween(view, rank, versus);
  const opened = Object.keys(soil).filter((id) => soil[id] === (higher.id === rank ? 'ADDED' : 'LOST'));
  const closed = Object.keys(soil).filter((id) => soil[id] === (higher.id === rank ? 'LOST' : 'ADDED'));
  const plots = (title: string, ids: string[]) =>
    ids.length > 0 && (
      <section className={classes.place}>
        <h3>{title}</h3>
        <p className={classes.run}>
          {ids.map((id) => (
            <button key={id} type="button" className="plain" onClick={() => onSelect(id)}>
              {map.position.get(id)?.name}
            </button>
          ))}
        </p>
      </section>
    );
  return (
    <aside className={sheet.sheet} aria-label="Compared" data-sheet="compared">
      <h2>
        What {higher.name} adds to {lower.name}
      </h2>
      <button type="button" className={sheet.close} aria-label="Close the sheet" onClick={onClose}>
        ×
      </button>
      <p className="quiet">
        {count(techniques.length, 'technique', 'techniques')}, {count(opened.length, 'plot', 'plots')} more on
        the hill.
      </p>
      {plots('Reached for the first time', opened)}
      {plots(`Reached only with ${lower.name}`, closed)}
      {FAMILIES.map((family) => {
        const here = techniques.filter((id) => map.technique.get(id)?.family === family);
        return here.length === 0 ? null : (
          <section key={family} className={classes.place}>
            <h3>
              {plain(family)} · {here.length}
            </h3>
            <ul>
              {here.map((id) => (
                <li key={id}>
                  <Glyph family={family} group={map.technique.get(id)?.group} size={20} />
                  <Link to={`/map/techniques/${id}`}>{map.technique.get(id)?.name}</Link>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </aside>
  );
}

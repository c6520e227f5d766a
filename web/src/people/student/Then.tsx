import type { MapIndex } from '../../api/map';
import type { GameView, Soil } from '../../api/types';
import { date, percent } from '../../ui/words';
import classes from './Game.module.css';

/** Today beside three months ago. */
export function Then({ game, map, soil }: { game: GameView; map: MapIndex; soil: Record<string, Soil> }) {
  const { today, before } = game;
  const was = game.soilBefore as Record<string, Soil>;
  const named = (to: Soil) =>
    Object.keys(soil)
      .filter((id) => soil[id] === to && was[id] !== to)
      .flatMap((id) => map.position.get(id)?.name ?? [])
      .sort();
  const green = named('GREEN');
  const weed = named('WEED');
  return (
    <section aria-label="Then and now">
      <h2>Three months ago and today</h2>
      <table className={classes.then}>
        <thead>
          <tr>
            <td />
            <th scope="col">{date(before.day)}</th>
            <th scope="col">today</th>
            <th scope="col">change</th>
          </tr>
        </thead>
        <tbody>
          <Line word="Techniques passed" was={before.passed} is={today.passed} />
          <Line word="Drilled, not passed" was={before.drilled} is={today.drilled} />
          <Line word="Of both, rusty" was={before.rusty} is={today.rusty} lessIsBetter />
          <Line word="Positions they get into" was={before.places} is={today.places} />
          <Line word="Covered of those" was={before.coverage} is={today.coverage} isShare />
          <Line word="Chains complete" was={before.chains} is={today.chains} />
        </tbody>
      </table>
      {green.length > 0 && (
        <p>
          <strong>Turned green:</strong> {green.join(', ')}.
        </p>
      )}
      {weed.length > 0 && (
        <p>
          <strong>Gone to weed:</strong> {weed.join(', ')}.
        </p>
      )}
      {green.length + weed.length === 0 && <p>No plot of the hill turned green or went to weed since.</p>}
      <p className="quiet">What was taken back since counts as never given.</p>
    </section>
  );
}

function Line({
  word,
  was,
  is,
  isShare = false,
  lessIsBetter = false,
}: {
  word: string;
  was: number;
  is: number;
  isShare?: boolean;
  lessIsBetter?: boolean;
}) {
  const figure = (n: number) => (isShare ? percent(n) : n);
  const more = isShare ? Math.round(is * 100) - Math.round(was * 100) : is - was;
  const isBetter = lessIsBetter ? more < 0 : more > 0;
  return (
    <tr>
      <th scope="row">{word}</th>
      <td>{figure(was)}</td>
      <td>{figure(is)}</td>
      <td className={more === 0 ? 'quiet' : isBetter ? classes.better : classes.worse}>
        {more === 0 ? 'same' : `${more > 0 ? '+' : '−'}${Math.abs(more)}${isShare ? '' : ''}`}
      </td>
    </tr>
  );
}

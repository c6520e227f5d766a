import { Link } from 'react-router';
import { type MapIndex, useChains } from '../../api/map';
import type { Family, GameChoice, GameView } from '../../api/types';
import { Glyph } from '../../ui/glyphs';
import { count, FAMILIES, percent, plain, STAGES } from '../../ui/words';
import classes from './Game.module.css';

type Props = { game: GameView; map: MapIndex };

/** Plan A and plan B for each position they get into, and what would close most of what is open. */
export function Game({ game, map }: Props) {
  const { plan } = game;
  const technique = (id: string) => map.technique.get(id)?.name ?? id;
  const position = (id: string) => map.position.get(id)?.name ?? id;
  const open = plan.places.filter((place) => place.answers === 0);
  const rules = map.data.rulesets.find((one) => one.id === game.ruleset)?.name;
  if (plan.places.every((place) => place.answers === 0))
    return (
      <p>
        Nothing is passed or drilled yet that starts where they get to. Once it is, this says what to go for
        at each position.
      </p>
    );
  return (
    <>
      <section aria-label="Coverage">
        <h2>{percent(plan.coverage)} covered</h2>
        <p className="quiet">
          Two answers at each of the {count(plan.places.length, 'position', 'positions')} they get into
          against class-mates who know the same{rules && `, under ${rules.toLowerCase()}`}, would be 100 %.
        </p>
        {open.length > 0 && (
          <p>
            <strong>No answer at</strong> {open.map((place) => position(place.position)).join(', ')}.
          </p>
        )}
      </section>
      <Strongest plan={plan} technique={technique} position={position} />
      {game.next.length > 0 && (
        <section aria-label="Next best">
          <h2>Next best to learn</h2>
          <ul className={classes.next}>
            {game.next.map((next) => (
              <li key={next.technique}>
                <Link to={`/map/techniques/${next.technique}`}>{technique(next.technique)}</Link>
                <span className="quiet">
                  {' '}
                  +{percent(next.gain)}: one more answer at {next.helps.map(position).join(', ')}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Sides sides={game.sides} technique={technique} />
      <Chains game={game} technique={technique} />
      <section aria-label="Plans" className={classes.plans}>
        <h2>Plan A and plan B</h2>
        {STAGES.map((stage) => {
          const places = plan.places.filter(
            (place) => map.stageOf(place.position) === stage && place.answers > 0,
          );
          return (
            places.length > 0 && (
              <details key={stage} open={stage === 'LEGS_BETWEEN'}>
                <summary>
                  {plain(stage)}{' '}
                  <span className="quiet">{count(places.length, 'position', 'positions')}</span>
                </summary>
                {places.map((place) => (
                  <div key={place.position} className={classes.place}>
                    <Link to={`/map?at=${place.position}`}>{position(place.position)}</Link>
                    <ol type="A">
                      {place.best.map((choice) => (
                        <li key={choice.link}>
                          <Plan choice={choice} map={map} />
                        </li>
                      ))}
                    </ol>
                  </div>
                ))}
              </details>
            )
          );
        })}
      </section>
      <p className="quiet">
        Passed before drilled, then what works oftenest
        {game.tries > 0
          ? ` (${count(game.tries, 'try', 'tries')} of theirs are logged)`
          : ' (usual figures: no round of theirs is logged)'}
        , then what is freshest. The coach decides.
      </p>
    </>
  );
}

function Plan({ choice, map }: { choice: GameChoice; map: MapIndex }) {
  const when = choice.when && map.reaction.get(choice.when)?.text;
  const isRusty = choice.known.fading === 'RUSTY';
  return (
    <>
      {map.technique.get(choice.technique)?.name ?? choice.technique}
      {when && <span className="quiet"> if {when}</span>}
      <span className="quiet">
        {' '}
        {choice.known.passed ? plain(choice.known.passed).toLowerCase() : 'drilled'},{' '}
        {percent(choice.works.estimate)}
        {choice.works.tries === 0 ? ' usual' : ` of ${choice.works.tries}`}
      </span>
      {isRusty && <span className={classes.rusty}> rusty</span>}
    </>
  );
}

const SHOWN: Family[] = FAMILIES.filter((f) => f !== 'BREAKFALL' && f !== 'MOVEMENT' && f !== 'GRIP');

function Strongest({
  plan,
  technique,
  position,
}: {
  plan: GameView['plan'];
  technique: (id: string) => string;
  position: (id: string) => string;
}) {
  const best = plan.strongest as Partial<Record<Family, GameChoice>>;
  return (
    <section aria-label="Strongest">
      <h2>Strongest</h2>
      <dl className={classes.strongest}>
        {SHOWN.map((family) => {
          const choice = best[family];
          return (
            choice && (
              <div key={family}>
                <dt>
                  <Glyph family={family} /> {plain(family)}
                </dt>
                <dd>
                  {technique(choice.technique)}
                  <span className="quiet"> to {choice.to === 'TAP' ? 'a tap' : position(choice.to)}</span>
                </dd>
              </div>
            )
          );
        })}
      </dl>
    </section>
  );
}

function Sides({ sides, technique }: { sides: GameView['sides']; technique: (id: string) => string }) {
  const all = sides.right + sides.left;
  if (all === 0) return null;
  return (
    <section aria-label="Right and left">
      <h2>Right and left</h2>
      <div
        className={classes.balance}
        role="img"
        aria-label={`${sides.left} sessions left, ${sides.right} right`}
      >
        <span className={classes.leftBar} style={{ flexGrow: sides.left }} />
        <span className={classes.rightBar} style={{ flexGrow: sides.right }} />
      </div>
      <p className={classes.ends}>
        <span>{percent(sides.left / all)} left</span>
        <span>{percent(sides.right / all)} right</span>
      </p>
      {sides.weaker && (
        <p>
          <strong>One-sided:</strong> hardly anything on the {sides.weaker.toLowerCase()}.
        </p>
      )}
      {sides.oneSided.length > 0 && (
        <p className="quiet">
          {sides.oneSided
            .slice(0, 6)
            .map((one) => `${technique(one.technique)} (${one.right} right, ${one.left} left)`)
            .join(', ')}
          {sides.oneSided.length > 6 && ` and ${sides.oneSided.length - 6} more`}
        </p>
      )}
    </section>
  );
}

function Chains({ game, technique }: { game: GameView; technique: (id: string) => string }) {
  const chains = useChains();
  const name = (id: string) => chains.data?.find((c) => c.chain.id === id)?.chain.name ?? id;
  if (game.chains.length === 0) return null;
  const whole = game.chains.filter((chain) => !chain.missing);
  const short = game.chains.filter((chain) => chain.missing);
  return (
    <section aria-label="Chains">
      <h2>Chains</h2>
      {whole.length > 0 && (
        <p>
          <strong>Complete:</strong>{' '}
          {whole.map((chain, n) => (
            <span key={chain.chain}>
              {n > 0 && ', '}
              <Link to={`/chains/${chain.chain}`}>{name(chain.chain)}</Link>
            </span>
          ))}
        </p>
      )}
      <ul className={classes.next}>
        {short.map((chain) => (
          <li key={chain.chain}>
            <Link to={`/chains/${chain.chain}`}>{name(chain.chain)}</Link>
            <span className="quiet"> lacks {technique(chain.missing ?? '')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

import { Link } from 'react-router';
import type { MapIndex } from '../../api/map';
import type { Fault, TechniqueCard } from '../../api/types';
import { Glyph } from '../../ui/glyphs';
import { plain } from '../../ui/words';
import { Dial } from './Dial';
import classes from './TechniquePage.module.css';
import { WhereUsed } from './WhereUsed';

type Props = {
  map: MapIndex;
  card: TechniqueCard;
  version: string | null;
  onVersion: (id: string | null) => void;
};

/** Left what it is, in the middle how it is done, at the right what goes with it. */
export function CardView({ map, card, version, onVersion }: Props) {
  const { technique } = card;
  const shown = technique.versions.find((v) => v.id === (version ?? technique.houseVersion));
  const steps = shown && shown.steps.length > 0 ? shown.steps : technique.steps;
  const faults = shown && shown.faults.length > 0 ? shown.faults : technique.faults;
  return (
    <article className={classes.card}>
      <div className={classes.left}>
        <Glyph family={technique.family} group={technique.group} size={64} />
        <ul className={classes.names}>
          {technique.aliases.map((alias) => (
            <li key={alias.text}>
              {alias.text} <span className="quiet">{alias.tongue}</span>
            </li>
          ))}
        </ul>
        <p>
          {plain(technique.family)}
          {technique.group ? `, ${plain(technique.group).toLowerCase()}` : ''}
          {technique.jacket !== 'EITHER' && (
            <span className="quiet">
              {' '}
              {technique.jacket === 'JACKET' ? 'with a jacket' : 'without a jacket'}
            </span>
          )}
        </p>
        {technique.directions.length > 0 && (
          <figure className={classes.dial}>
            <Dial directions={technique.directions} />
            <figcaption className="quiet">
              off balance to the receiver’s{' '}
              {technique.directions.map((d) => plain(d).toLowerCase()).join(' or ')}, for a right-handed
              performer
            </figcaption>
          </figure>
        )}
        <p>
          Learn <Out of={technique.learn} />
          <br />
          Master <Out of={technique.master} />
        </p>
        {technique.tags.length > 0 && (
          <p className="quiet">{technique.tags.map((t) => t.replaceAll('-', ' ')).join(' · ')}</p>
        )}
      </div>
      <div className={classes.middle}>
        <p className={classes.summary}>{technique.summary}</p>
        {steps.length > 0 && (
          <>
            <h2>Steps{shown ? `, ${shown.name.toLowerCase()}` : ''}</h2>
            <ol>
              {steps.map((step) => (
                <li key={step.text}>
                  {step.text}
                  {step.cue && <em> “{step.cue}”</em>}
                  {step.footwork && <span className="quiet"> {step.footwork}</span>}
                </li>
              ))}
            </ol>
          </>
        )}
        {technique.signs.length > 0 && (
          <>
            <h2>It was right when</h2>
            <ul>
              {technique.signs.map((sign) => (
                <li key={sign}>{sign}</li>
              ))}
            </ul>
          </>
        )}
        {faults.length > 0 && <h2>Faults</h2>}
        {faults.map((fault) => (
          <FaultLine key={fault.id} map={map} fault={fault} />
        ))}
        {technique.soloForm && (
          <>
            <h2>Alone</h2>
            <p>{technique.soloForm}</p>
          </>
        )}
      </div>
      <div className={classes.right}>
        {card.cautions.length > 0 && <h2>Cautions</h2>}
        {card.cautions.map((caution) => (
          <p key={caution.code} className={caution.level === 'FORBID' ? classes.forbid : classes.caution}>
            {caution.text}
          </p>
        ))}
        {technique.versions.length > 0 && (
          <>
            <h2>Versions</h2>
            {technique.versions.map((v) => (
              <div key={v.id} className={classes.version} data-shown={v === shown}>
                <button
                  type="button"
                  className="plain"
                  aria-pressed={v === shown}
                  onClick={() => onVersion(v.id === technique.houseVersion ? null : v.id)}
                >
                  {v.name}
                </button>
                {v.id === technique.houseVersion && <strong> the house version</strong>}
                <span className="quiet"> {plain(v.purpose).toLowerCase()}</span>
                <div className="quiet">{v.because}</div>
              </div>
            ))}
          </>
        )}
        <Names map={map} title="The receiver needs" ids={technique.receiverFalls} />
        <Names map={map} title="Builds on" ids={technique.prerequisites} />
        <Names map={map} title="Carries over to" ids={technique.carriesOverTo} />
        <WhereUsed map={map} card={card} />
      </div>
    </article>
  );
}

/** Five furrows, as many of them ploughed as it is hard. */
function Out({ of }: { of: number }) {
  return (
    <span role="img" aria-label={`${of} of 5`} className={classes.furrows}>
      {[1, 2, 3, 4, 5].map((n) => (
        <i key={n} data-on={n <= of} />
      ))}
    </span>
  );
}

/** See, because, fix; and what it opens for the partner, which leads there. */
function FaultLine({ map, fault }: { map: MapIndex; fault: Fault }) {
  const opens = fault.opens ? map.link.get(fault.opens) : undefined;
  return (
    <div className={classes.fault}>
      <strong>{fault.see}</strong>
      <span>{fault.because}</span>
      <span>→ {fault.fix}</span>
      {opens && (
        <span>
          opens their{' '}
          <Link to={`/map?at=${opens.from}`}>
            {map.technique.get(opens.technique)?.name} from {map.position.get(opens.from)?.name}
          </Link>
        </span>
      )}
      {fault.canHurt && <span className={classes.forbid}>This one can hurt someone.</span>}
    </div>
  );
}

function Names({ map, title, ids }: { map: MapIndex; title: string; ids: string[] }) {
  if (ids.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <ul>
        {ids.map((id) => (
          <li key={id}>
            <Link to={`/map/techniques/${id}`}>{map.technique.get(id)?.name ?? id}</Link>
          </li>
        ))}
      </ul>
    </>
  );
}

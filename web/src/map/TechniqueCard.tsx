import { Drawer } from '@mantine/core';
import { useTechniqueCard } from '../api/queries';
import type { Technique } from '../api/types';
import { Glyph } from '../ui/glyphs';
import { Loaded } from '../ui/States';
import { plain } from '../ui/words';
import { Dial } from './Dial';
import classes from './TechniqueCard.module.css';

/** Everything a coach says about one technique. */
export function TechniqueCardDrawer({ id, onClose }: { id: string | null; onClose: () => void }) {
  const query = useTechniqueCard(id);
  return (
    <Drawer
      opened={id !== null}
      onClose={onClose}
      position="right"
      size={640}
      title={query.data?.technique.name ?? 'Technique'}
      closeButtonProps={{ 'aria-label': 'Close the card' }}
      classNames={{ title: classes.title }}
    >
      {id && (
        <Loaded query={query}>
          {(card) => <Card technique={card.technique} cautions={card.cautions} />}
        </Loaded>
      )}
    </Drawer>
  );
}

function Card({
  technique,
  cautions,
}: {
  technique: Technique;
  cautions: { code: string; text: string; level: string }[];
}) {
  return (
    <article className={classes.card}>
      <div className={classes.head}>
        <Glyph family={technique.family} group={technique.group} size={44} />
        <div>
          <p>{technique.aliases.map((a) => a.text).join(' · ')}</p>
          <p className="quiet">
            {plain(technique.family)}
            {technique.group ? `, ${plain(technique.group).toLowerCase()}` : ''} · learn {technique.learn} of
            5, master {technique.master} of 5
          </p>
        </div>
        {technique.directions.length > 0 && <Dial directions={technique.directions} />}
      </div>
      <p className={classes.summary}>{technique.summary}</p>
      {cautions.map((caution) => (
        <p key={caution.code} className={caution.level === 'FORBID' ? classes.forbid : classes.caution}>
          {caution.text}
        </p>
      ))}
      <h3>Steps</h3>
      <ol>
        {technique.steps.map((step) => (
          <li key={step.text}>
            {step.text}
            {step.cue && <em> “{step.cue}”</em>}
          </li>
        ))}
      </ol>
      <h3>It was right when</h3>
      <ul>
        {technique.signs.map((sign) => (
          <li key={sign}>{sign}</li>
        ))}
      </ul>
      <h3>Faults</h3>
      {technique.faults.map((fault) => (
        <div key={fault.id} className={classes.fault}>
          <strong>{fault.see}</strong>
          <span>{fault.because}</span>
          <span>→ {fault.fix}</span>
          {fault.canHurt && <span className={classes.forbid}>This one can hurt someone.</span>}
        </div>
      ))}
      {technique.versions.length > 0 && (
        <>
          <h3>Versions</h3>
          {technique.versions.map((version) => (
            <div key={version.id} className={classes.fault}>
              <strong>
                {version.name}
                {version.id === technique.houseVersion ? ', the house version' : ''}
              </strong>
              <span>{version.because}</span>
            </div>
          ))}
        </>
      )}
    </article>
  );
}

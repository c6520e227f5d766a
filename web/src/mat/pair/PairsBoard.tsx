import { Button, Select } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { useUnseenFalls } from '../../api/people';
import type { ClassSheet } from '../../api/types';
import { Waiting } from '../../ui/States';
import { count } from '../../ui/words';
import { Cards } from './Cards';
import classes from './Pairs.module.css';
import type { Pairing } from './usePairs';

type Props = { sheet: ClassSheet; pairs: Pairing };

const PAIRED = new Set(['PART_DRILL', 'WHOLE_DRILL', 'TIMED_ROUNDS', 'POSITIONAL_ROUNDS', 'FREE_ROUNDS']);

/** The pairs of the evening: a touch on two people swaps them and says what that breaks. */
export function PairsBoard({ sheet, pairs }: Props) {
  const [chosen, setChosen] = useState<string | null>(null);
  const { id, blocks } = sheet.training;
  const { alone, gone, resting, calledBy } = pairs;
  const unseen = useUnseenFalls({ classId: id });
  const touch = (who: string) => {
    if (chosen === null) return setChosen(who);
    setChosen(null);
    if (chosen !== who) void pairs.swap(chosen, who);
  };
  const person = (who: string) => (
    <button
      key={who}
      type="button"
      data-paired={who}
      aria-pressed={who === chosen}
      onClick={() => touch(who)}
    >
      {calledBy(who)}
    </button>
  );
  if (pairs.isWaiting) return <Waiting />;
  return (
    <section className={classes.board} aria-label="Pairs">
      <div className={classes.head}>
        <h2>Pairs</h2>
        <Select
          aria-label="Pairs for"
          size="md"
          allowDeselect={false}
          value={pairs.block ?? ''}
          onChange={(block) => pairs.setBlock(block || null)}
          data={[
            { value: '', label: 'For the evening' },
            ...blocks
              .filter((one) => PAIRED.has(one.kind))
              .map((one) => ({ value: one.id, label: `For ${one.title}` })),
          ]}
        />
      </div>
      <p className={classes.how} aria-live="polite">
        {chosen
          ? `${calledBy(chosen)} changes places with …`
          : pairs.isMade
            ? 'Touch two people to swap them.'
            : 'By weight, rank, height and who worked together lately; the safety rules come first.'}
      </p>
      {chosen && (
        <div className={classes.acts}>
          <Button
            size="md"
            variant="default"
            onClick={() => {
              setChosen(null);
              void pairs.takeOut(chosen, true);
            }}
          >
            {calledBy(chosen)} sits out
          </Button>
          <Button size="md" variant="subtle" onClick={() => setChosen(null)}>
            Cancel
          </Button>
        </div>
      )}
      {pairs.everywhere.length > 0 && (
        <p className={classes.mind}>With most of them: {pairs.everywhere.join('; ')}</p>
      )}
      {pairs.waves.map((wave, n) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a wave is its place
        <div key={n}>
          {pairs.waves.length > 1 && (
            <h3 className={classes.waved}>
              Wave {n + 1} of {pairs.waves.length}
              <span className="quiet">
                {n === 0 && ` room for ${sheet.training.lanes} pairs to throw at once`}
              </span>
            </h3>
          )}
          <ul className={classes.groups} aria-label={pairs.waves.length > 1 ? `Wave ${n + 1}` : 'Pairs'}>
            {wave.map((group) => (
              <OnBoard key={group.join()} group={group} said={pairs.said(group)} person={person} />
            ))}
          </ul>
        </div>
      ))}
      <Cards sheet={sheet} pairs={pairs} />
      {pairs.isMade && alone.length > 0 && (
        <section aria-label="Not paired">
          <h3 className={classes.waved}>Not paired</h3>
          <ul className={classes.alone}>
            {alone.map((who) => (
              <Alone key={who} who={who} pairs={pairs} chosen={chosen} onTouch={touch} sheet={sheet} />
            ))}
          </ul>
        </section>
      )}
      {(unseen.data?.length ?? 0) > 0 && (
        <p>
          <Link to={`/people/falls?class=${id}`}>
            Falls not yet seen here: {count(unseen.data?.length ?? 0, 'person', 'people')}
          </Link>
        </p>
      )}
      {gone.length > 0 && (
        <div className={classes.loose}>
          <strong>Not here any more</strong>
          {gone.map((who) => (
            <Button key={who} size="md" variant="default" onClick={() => pairs.takeOut(who, false)}>
              {calledBy(who)}: close up
            </Button>
          ))}
        </div>
      )}
      {resting.length > 0 && (
        <div className={classes.loose}>
          <strong>Sits out</strong>
          {resting.map((who) => (
            <Button key={who} size="md" variant="subtle" onClick={() => pairs.goOn(who)}>
              {calledBy(who)}
            </Button>
          ))}
        </div>
      )}
      <div className={classes.acts}>
        <Button
          size="lg"
          variant={pairs.isMade ? 'default' : 'filled'}
          disabled={sheet.attendance.length < 2}
          onClick={pairs.make}
        >
          {pairs.isMade ? 'New pairs' : 'Pair them'}
        </Button>
        {pairs.isMade && (
          <Button component={Link} to={`/mat/${id}/wall`} size="lg" variant="default">
            On the wall
          </Button>
        )}
      </div>
    </section>
  );
}

type AloneProps = {
  who: string;
  pairs: Pairing;
  chosen: string | null;
  onTouch: (who: string) => void;
  sheet: ClassSheet;
};

/** Somebody in no pair: the rule in the way, and what may be done about it. The coach decides. */
function Alone({ who, pairs, chosen, onTouch, sheet }: AloneProps) {
  const { says, falls, isJunior, canThrow, canAnyway } = pairs.whyAlone(who);
  return (
    <li>
      <Button
        size="md"
        variant={chosen ? 'outline' : 'default'}
        aria-pressed={who === chosen}
        onClick={() => onTouch(who)}
      >
        {pairs.calledBy(who)}
      </Button>
      <p>{says}</p>
      <div className={classes.acts}>
        {falls.length > 0 && !isJunior && (
          <Button size="md" variant="default" onClick={() => pairs.seen(who)}>
            Seen: can fall
          </Button>
        )}
        {falls.length > 0 && isJunior && (
          <Button component={Link} to={`/mat/${sheet.training.id}?do=mark`} size="md" variant="default">
            Mark the fall
          </Button>
        )}
        {canThrow && (
          <Button size="md" variant="default" onClick={() => pairs.placeThrowing(who)}>
            They only throw
          </Button>
        )}
        {canAnyway && (
          <Button size="md" variant="default" onClick={() => pairs.placeAnyway(who)}>
            {falls.length > 0 ? 'Lowered or crash mat' : 'Pair anyway'}
          </Button>
        )}
      </div>
    </li>
  );
}

type OnBoardProps = {
  group: string[];
  said: ReturnType<Pairing['said']>;
  person: (who: string) => ReactNode;
};

/** Two or three who work together, what stands against it and what is to be minded. */
function OnBoard({ group, said: { breaks, anyway, minds, looks }, person }: OnBoardProps) {
  return (
    <li data-group>
      <div>{group.map(person)}</div>
      {group.length === 3 && <p className={classes.mind}>three: change at each swap</p>}
      {breaks.map((words) => (
        <p key={words} className={classes.breaks}>
          {words}
        </p>
      ))}
      {anyway.map((words) => (
        <p key={words} className={classes.mind}>
          <strong>{words}</strong>
        </p>
      ))}
      {minds.length > 0 && <p className={classes.mind}>{minds.join('; ')}</p>}
      {looks && <p className={classes.mind}>not known here; look</p>}
    </li>
  );
}

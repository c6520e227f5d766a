import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useSession } from '../../api/club';
import { useCalendar, useClassSheet } from '../../api/mat';
import { useNames } from '../../api/people';
import type { ClassSheet, Name } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { withWaiting } from '../../record/overlay';
import { useWaiting } from '../../record/Recording';
import { Empty, Loaded } from '../../ui/States';
import { time } from '../../ui/words';
import classes from './CardsPage.module.css';
import { useCheckIn } from './useCheckIn';

/** The club's cards as a page: a tap is what a card reader would send. Stands in where there is no reader. */
export function CardsPage() {
  const { id = '' } = useParams();
  const sheet = useClassSheet(id);
  const names = useNames();
  return (
    <Loaded query={sheet}>
      {(opened) => <Loaded query={names}>{(people) => <Cards kept={opened} people={people} />}</Loaded>}
    </Loaded>
  );
}

function Cards({ kept, people }: { kept: ClassSheet; people: Name[] }) {
  const waiting = useWaiting();
  const sheet = useMemo(() => withWaiting(kept, waiting), [kept, waiting]);
  const here = new Map(sheet.attendance.map((one) => [one.student, one]));
  const { onCard } = useCheckIn(sheet.training, here, people);
  const mayWrite = useSession().data?.role !== 'VIEWER';
  const tracks = useCalendar().data?.tracks;
  const { training } = sheet;
  const carried = people
    .filter((one): one is Name & { card: string } => Boolean(one.card) && one.tracks.includes(training.track))
    .sort((a, b) => a.card.localeCompare(b.card, undefined, { numeric: true }));
  return (
    <>
      <PageHead title="Cards" mat={false}>
        <strong>
          {time(training.start)} {tracks?.find((one) => one.id === training.track)?.name}
        </strong>
        <span className="quiet">{sheet.attendance.length} here</span>
        <Link to={`/mat/${training.id}`}>Back to the class</Link>
      </PageHead>
      {carried.length === 0 ? (
        <Empty title="Nobody on this track carries a card" steps={[{ label: 'People', to: '/people' }]}>
          A card’s number is written down on a person’s page, under Change. A reader that types it works on
          the class itself.
        </Empty>
      ) : (
        <ul className={classes.cards} aria-label="Tap the card that is held to the reader">
          {carried.map((one) => (
            <li key={one.id}>
              <button
                type="button"
                data-card={one.card}
                aria-pressed={here.has(one.id)}
                disabled={!mayWrite}
                onClick={() => onCard(one.card)}
              >
                <span className={classes.number}>{one.card}</span>
                <strong>{one.calledBy}</strong>
                <span>{one.name}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

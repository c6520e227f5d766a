import { NumberInput, TextInput } from '@mantine/core';
import { useTracks } from '../../api/mat';
import type { CycleView, Joining, ThemeCycle } from '../../api/types';
import { count, date, plain, time } from '../../ui/words';
import term from '../Term.module.css';
import classes from './Cycle.module.css';

type Props = { view: CycleView; onChange?: (cycle: ThemeCycle, says: string) => void };

/** How a cycle runs: what a week bears, when somebody new has been shown everything, and what is to be minded. */
export function AboutCycle({ view, onChange }: Props) {
  const tracks = useTracks().data?.tracks ?? [];
  const { cycle, joining } = view;
  const slots = tracks.find((track) => track.id === cycle.track)?.slots ?? [];
  const nameOf = (slot: string) => {
    const found = slots.find((one) => one.id === slot);
    return found ? `${plain(found.day)}s ${time(found.start)}` : slot;
  };
  const week = view.weeks[0];
  return (
    <>
      <p className="quiet">
        {view.bears.length === 0
          ? 'The track has no weekly times: give it some in House, Tracks.'
          : `${count(view.bears.length, 'class', 'classes')} a week, ${view.bears.join(' + ')} minutes of technique`}
        {week && ` · round ${week.round + 1}`}
      </p>
      {view.themes.length > 0 && (
        <>
          <h2>Somebody new</h2>
          <p>{whole(joining, 'who begins today')}</p>
          {Object.entries(view.bySlot).map(([slot, one]) => (
            <p key={slot} className="quiet">
              {whole(one, `who comes ${nameOf(slot)} only`)}
            </p>
          ))}
        </>
      )}
      {view.notes.length > 0 && (
        <>
          <h2>To mind</h2>
          <ul className={classes.notes}>
            {view.notes.map((note) => (
              <li key={`${note.rule} ${note.theme} ${note.sentence}`}>{note.sentence}</li>
            ))}
          </ul>
        </>
      )}
      {onChange && (
        <div className={term.frame}>
          <TextInput
            label="First week with"
            type="date"
            value={cycle.from}
            onChange={(event) =>
              event.currentTarget.value &&
              onChange({ ...cycle, from: event.currentTarget.value }, 'The first week is set.')
            }
          />
          <NumberInput
            label="Technique"
            suffix={cycle.minutes === 0 ? ' : half of it' : ' min'}
            min={0}
            max={240}
            step={5}
            value={cycle.minutes}
            onChange={(minutes) =>
              Number(minutes) !== cycle.minutes &&
              onChange({ ...cycle, minutes: Number(minutes) }, 'Minutes of technique are set.')
            }
          />
        </div>
      )}
    </>
  );
}

/** When somebody has been shown everything, in a sentence. */
function whole({ first, met, of, all }: Joining, who: string): string {
  if (!first) return `Nobody can begin: there is no class to come.`;
  const begins = `Somebody ${who} has a first class on ${date(first)}`;
  if (of === 0) return `${begins}.`;
  return all
    ? `${begins} and has been shown all ${of} by ${date(all)}.`
    : `${begins} and is shown ${met} of ${of} in a round; not all of them in two.`;
}

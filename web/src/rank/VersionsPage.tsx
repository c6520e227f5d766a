import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { send, sendEdit } from '../api/client';
import { useSession } from '../api/club';
import { useLadders, useVersions } from '../api/ladders';
import { type MapIndex, useChains, useMap } from '../api/map';
import { useToday } from '../api/mat';
import type { Ladder, LadderView, SyllabusVersion } from '../api/types';
import { useChanged, useSayDone } from '../form/useEdit';
import { PageHead } from '../frame/PageHead';
import { nth } from '../ui/lists';
import { useNotices } from '../ui/Notices';
import { Scroll } from '../ui/Scroll';
import { Failed, Loaded } from '../ui/States';
import { count, date, percent } from '../ui/words';
import { versionsDiffer, versionsOf } from './differs';
import { nameOf } from './nameOf';
import { StandingPanel } from './StandingPanel';
import classes from './VersionsPage.module.css';
import { chosenOf, dayOf, versionInWords } from './versions';

/** From which day a ladder asks what, who stands on which version, and what differs. */
export function VersionsPage() {
  const ladders = useLadders();
  const map = useMap();
  const { ladder } = useParams();
  const versions = useVersions(ladder);
  return (
    <Loaded query={ladders}>
      {(views) => (
        <Loaded query={map}>
          {(index) => (
            <Loaded query={versions}>
              {(all) => {
                const view = views.find((one) => one.ladder.id === ladder);
                return view && all.length === view.ladder.earlier.length + 1 ? (
                  <Opened view={view} versions={all} map={index} />
                ) : (
                  <Failed error={new Error('There is no such ladder.')} retry={() => ladders.refetch()} />
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

type OpenedProps = { view: LadderView; versions: SyllabusVersion[]; map: MapIndex };

function Opened({ view, versions, map }: OpenedProps) {
  const { ladder } = view;
  const role = useSession().data?.role;
  const isHead = role === 'HEAD';
  const chains = useChains();
  const [params, setParams] = useSearchParams();
  const changed = useChanged();
  const sayDone = useSayDone();
  const say = useNotices();
  const asked = versionsOf(ladder);
  const chosen = chosenOf(versions, params.get('on'));
  const act = async (what: () => Promise<{ edit: string | null }>, done: string) => {
    try {
      const { edit } = await what();
      await changed('syllabus', 'syllabusMove');
      sayDone(done, edit);
    } catch (error) {
      say.failed(error);
      await changed('syllabus', 'syllabusMove');
    }
  };
  return (
    <>
      <PageHead title="Versions of the syllabus">
        <Link to={`/ranks?ladder=${ladder.id}`}>{ladder.name}</Link>
      </PageHead>
      <div className={classes.columns}>
        <Scroll label="Versions" className={classes.versions}>
          {versions.length === 1 && (
            <p className={classes.first}>
              There is one syllabus: whatever you change in it counts at once for everybody who wears the
              rank. Before a large change, begin a new one: those who have a rank go on with what was asked
              when they got it, and a belt given from that day on asks for the new one.
            </p>
          )}
          {isHead && <Begin ladder={ladder} tag={view.tag} act={act} />}
          {versions.map((one, at) => (
            <Version
              key={one.until ?? 'now'}
              {...{ ladder, version: one }}
              isChosen={at === chosen}
              onChoose={() => setParams({ on: dayOf(one) ?? '' }, { replace: true })}
              onForget={
                isHead && one.until !== null
                  ? () =>
                      act(
                        () =>
                          sendEdit(
                            'DELETE',
                            `/ladders/${ladder.id}/versions/${one.until}`,
                            undefined,
                            view.tag,
                          ),
                        'The older syllabus is gone; who stood on it stands on the next one.',
                      )
                  : undefined
              }
            >
              {at + 1 < versions.length && (
                <Differs
                  lines={versionsDiffer(ladder.ranks, nth(asked, at + 1), nth(asked, at), (item) =>
                    nameOf(item, map, chains.data),
                  )}
                />
              )}
            </Version>
          ))}
        </Scroll>
        {versions.length > 1 && role !== 'VIEWER' && (
          <Scroll label="Who stands on it" className={classes.side}>
            <StandingPanel
              key={chosen}
              {...{ ladder, versions, chosen, map, isHead }}
              onMove={(students, to, done) =>
                act(() => sendEdit('POST', `/ladders/${ladder.id}/versions/${to}/moves`, { students }), done)
              }
              look={(students, to) =>
                send('POST', `/ladders/${ladder.id}/versions/${to}/moves/look`, { students })
              }
            />
          </Scroll>
        )}
      </div>
    </>
  );
}

type Act = (what: () => Promise<{ edit: string | null }>, done: string) => Promise<void>;

/** From which day what the ranks ask is for those to come. */
function Begin({ ladder, tag, act }: { ladder: Ladder; tag: string; act: Act }) {
  const today = useToday();
  const [day, setDay] = useState(today);
  return (
    <form
      className={classes.begin}
      onSubmit={(event) => {
        event.preventDefault();
        void act(
          () => sendEdit('POST', `/ladders/${ladder.id}/versions`, { from: day }, tag),
          `A new syllabus begins on ${date(day)}; change it now.`,
        );
      }}
    >
      <TextInput
        label="Begin a new syllabus on"
        type="date"
        required
        value={day}
        onChange={(event) => setDay(event.currentTarget.value)}
      />
      <Button type="submit" disabled={!day}>
        Begin it
      </Button>
    </form>
  );
}

type VersionProps = {
  ladder: Ladder;
  version: SyllabusVersion;
  isChosen: boolean;
  onChoose: () => void;
  onForget?: () => void;
  children: React.ReactNode;
};

function Version({ ladder, version, isChosen, onChoose, onForget, children }: VersionProps) {
  const name = versionInWords(version);
  return (
    <section className={classes.version} aria-label={name} data-chosen={isChosen || undefined}>
      <button type="button" className={classes.name} aria-pressed={isChosen} onClick={onChoose}>
        <h2>{name}</h2>
        <span>{count(version.people, 'student stands on it', 'students stand on it')}</span>
      </button>
      <div className={classes.body}>
        <table className={classes.ranks}>
          <thead>
            <tr>
              <th scope="col">Rank</th>
              <th scope="col">Wear it</th>
              <th scope="col">Load</th>
            </tr>
          </thead>
          <tbody>
            {version.ranks.map((of) => (
              <tr key={of.rank}>
                <th scope="row">
                  <Link to={`/ranks/${ladder.id}/${of.rank}`}>
                    {ladder.ranks.find((rank) => rank.id === of.rank)?.name}
                  </Link>
                </th>
                <td>{of.people || '–'}</td>
                <td>
                  {of.minutesAvailable > 0
                    ? `${of.atLeast ? 'at least ' : ''}${percent(of.minutesNeeded / of.minutesAvailable)}`
                    : '–'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {children}
      </div>
      {onForget && (
        <Button variant="subtle" size="compact-md" onClick={onForget}>
          Drop this version
        </Button>
      )}
    </section>
  );
}

function Differs({ lines }: { lines: ReturnType<typeof versionsDiffer> }) {
  if (lines.length === 0) return <p className="quiet">It asks the same as the one before.</p>;
  return (
    <details open>
      <summary>Asked otherwise than before</summary>
      <dl className={classes.differs}>
        {lines.map(({ rank, lines: all }) => (
          <div key={rank.id}>
            <dt>{rank.name}</dt>
            <dd>
              <ul>
                {all.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

import { Button, Select } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import { useSession } from '../api/club';
import { useLadderCheck, useLadders } from '../api/ladders';
import { type MapIndex, useMap } from '../api/map';
import { useHolding } from '../api/people';
import type { Holding, Ladder, LadderView, Rank, RankCheck } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Belt } from '../ui/Belt';
import { Glyph } from '../ui/glyphs';
import { nth } from '../ui/lists';
import { Empty, Loaded } from '../ui/States';
import { Stone } from '../ui/Stone';
import { count, percent, plain } from '../ui/words';
import { familyCounts, itemsOf } from './families';
import classes from './RanksPage.module.css';

/** A ladder as terraces, climbed from the bottom. */
export function RanksPage() {
  const ladders = useLadders();
  const map = useMap();
  return (
    <Loaded query={ladders}>
      {(views) => <Loaded query={map}>{(index) => <Ladders views={views} map={index} />}</Loaded>}
    </Loaded>
  );
}

function Ladders({ views, map }: { views: LadderView[]; map: MapIndex }) {
  const [params, setParams] = useSearchParams();
  const view = views.find((v) => v.ladder.id === params.get('ladder')) ?? views[0];
  const check = useLadderCheck(view?.ladder.id);
  const holding = useHolding();
  const isHead = useSession().data?.role === 'HEAD';
  if (!view)
    return (
      <>
        <PageHead title="Ranks" />
        <Empty
          title="No ladder yet"
          steps={[
            { label: 'Make one', to: '/ranks/new' },
            { label: 'Take one from the library', to: '/house/library' },
            { label: 'Bring one from a file', to: '/house/exchange' },
          ]}
        >
          A ladder of ranks goes here: what is asked at each belt, and who stands where.
        </Empty>
      </>
    );
  return (
    <>
      <PageHead title="Ranks">
        <Select
          aria-label="Ladder"
          data={views.map((v) => ({ value: v.ladder.id, label: v.ladder.name }))}
          value={view.ladder.id}
          onChange={(id) => id && setParams({ ladder: id })}
          allowDeselect={false}
          w={160}
          flex="none"
        />
        <span className={`quiet ${classes.policy}`}>{policyWords(view.ladder)}</span>
        {isHead && (
          <>
            <Button component={Link} to={`/ranks/${view.ladder.id}`} variant="default">
              Change
            </Button>
            <Button component={Link} to={`/ranks/${view.ladder.id}/versions`} variant="default">
              Versions
            </Button>
            <Button component={Link} to="/ranks/new" variant="default">
              New ladder
            </Button>
          </>
        )}
      </PageHead>
      <ol className={classes.hill} aria-label={`${view.ladder.name}, highest first`}>
        {[...view.ladder.ranks].reverse().map((rank, i) => (
          <Terrace
            key={rank.id}
            {...{ map, rank }}
            ladder={view.ladder}
            indent={(view.ladder.ranks.length - 1 - i) / Math.max(1, view.ladder.ranks.length)}
            level={i}
            check={check.data?.find((c) => c.rank === rank.id)}
            holding={holding.data?.[view.ladder.id]?.[rank.id] ?? { people: 0, ready: 0 }}
          />
        ))}
      </ol>
    </>
  );
}

const policyWords = ({ policy }: Ladder) =>
  [
    policy.stripes === 'BY_CLASSES' ? `a stripe every ${policy.classesPerStripe} classes` : null,
    policy.belt === 'BY_EXAM' ? 'belts by exam' : 'belts by the coach',
  ]
    .filter(Boolean)
    .join(', ');

/** More dots than that say nothing more. */
const MOST_DOTS = 40;

type TerraceProps = {
  map: MapIndex;
  ladder: Ladder;
  rank: Rank;
  indent: number;
  level: number;
  check?: RankCheck;
  holding: Holding;
};

function Terrace({ map, ladder, rank, indent, level, check, holding }: TerraceProps) {
  const blocks = check?.findings.filter((f) => f.severity === 3).length ?? 0;
  const load = check?.minutesAvailable ? check.minutesNeeded / check.minutesAvailable : 0;
  const { people, ready } = holding;
  return (
    <li
      className={classes.terrace}
      style={{ marginLeft: `${indent * 34}%`, background: `var(--terrace-${Math.min(5, level + 1)})` }}
    >
      <Link to={`/ranks/${ladder.id}/${rank.id}`} className={classes.name}>
        <Belt colours={rank.colours} of={rank.stripes} />
        <h2>{rank.name}</h2>
        <span className="quiet">{count(itemsOf(rank).length, 'item', 'items')}</span>
      </Link>
      <div className={classes.families}>
        {familyCounts(rank, map).map(([family, n]) => (
          <span key={family} title={plain(family)}>
            <Glyph family={family} size={20} />
            <span className="unseen">{plain(family)}</span>
            {n}
          </span>
        ))}
      </div>
      <div className={classes.people}>
        <span className={classes.dots} aria-hidden="true">
          {Array.from({ length: Math.min(people, MOST_DOTS) }, (_, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: dots are all alike
            <i key={i} className={i < ready ? classes.ready : undefined} />
          ))}
        </span>
        {count(people, 'student', 'students')}
        {ready > 0 && `, ${ready} ready`}
      </div>
      <div className={classes.measure}>
        <meter
          min={0}
          max={1.1}
          low={0.85}
          high={0.85}
          optimum={0.5}
          value={load}
          aria-label={`Load of ${rank.name}`}
        />
        <span>
          load {check?.atLeast && 'at least '}
          {percent(load)}
        </span>
        <span className={classes.findings}>
          {check && check.findings.length === 0 && 'holds together'}
          {check && check.findings.length > 0 && (
            <>
              <Stone severity={nth(check.findings, 0).severity} size={18} />
              {count(check.findings.length, 'finding', 'findings')}
              {blocks > 0 && `, ${blocks} blocking`}
            </>
          )}
        </span>
      </div>
    </li>
  );
}

import { Button, Menu } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { send } from '../api/client';
import {
  type MapIndex,
  useChains,
  useLadderCheck,
  useLadders,
  useMap,
  useReach,
  useSession,
} from '../api/queries';
import type { ChainView, Finding, Item, LadderView, Rank, SyllabusGroup } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Hillside } from '../map/Hillside';
import { Belt } from '../ui/Belt';
import { Glyph } from '../ui/glyphs';
import { useNotices } from '../ui/Notices';
import { Scroll } from '../ui/Scroll';
import { Failed, Loaded, Waiting } from '../ui/States';
import { Finding as StoneFinding } from '../ui/Stone';
import { count, plain } from '../ui/words';
import { AddItem } from './AddItem';
import { techniqueOf } from './families';
import classes from './RankPage.module.css';

export function RankPage() {
  const ladders = useLadders();
  const map = useMap();
  const { ladder, rank } = useParams();
  return (
    <Loaded query={ladders}>
      {(views) => (
        <Loaded query={map}>
          {(index) => {
            const view = views.find((v) => v.ladder.id === ladder);
            const opened = view?.ladder.ranks.find((r) => r.id === rank);
            return view && opened ? (
              <Opened view={view} rank={opened} map={index} />
            ) : (
              <Failed error={new Error('There is no such rank.')} retry={() => ladders.refetch()} />
            );
          }}
        </Loaded>
      )}
    </Loaded>
  );
}

/** Items a mend adds, with ids that no item of the ladder has yet. */
function newItems(techniques: string[], rank: Rank, map: MapIndex): Item[] {
  return techniques.map((ref) => ({
    id: `${rank.id}-${ref}-${Math.random().toString(36).slice(2, 7)}`,
    kind: 'TECHNIQUE',
    ref,
    words: null as unknown as string,
    version: null as unknown as string,
    standard: 'SHOWN',
    sides: map.technique.get(ref)?.sided ? 'BOTH' : 'EITHER',
    role: 'PERFORMER',
    count: 0,
    stripe: 0,
  }));
}

function Opened({ view, rank, map }: { view: LadderView; rank: Rank; map: MapIndex }) {
  const check = useLadderCheck(view.ladder.id);
  const chains = useChains();
  const session = useSession();
  const client = useQueryClient();
  const navigate = useNavigate();
  const say = useNotices();
  const eyes = useMemo(() => ({ kind: 'rank' as const, id: rank.id }), [rank.id]);
  const reach = useReach(eyes, true);
  const isHead = session.data?.role === 'HEAD';
  const mine = check.data?.find((c) => c.rank === rank.id);
  const soil = useMemo(
    () =>
      reach.data
        ? Object.fromEntries(
            [...map.position.keys()].map((id) => [id, reach.data[id] ? 'REACHED' : 'UNREACHED']),
          )
        : undefined,
    [reach.data, map],
  );

  const save = async (groups: SyllabusGroup[], done: string, undoable = true) => {
    const before = rank.syllabus;
    try {
      await send(
        'PUT',
        `/ladders/${view.ladder.id}/ranks/${rank.id}/syllabus`,
        { groups },
        view.tags[rank.id],
      );
      await client.invalidateQueries({ queryKey: ['ladders'] });
      client.invalidateQueries({ queryKey: ['map'] });
      client.invalidateQueries({ queryKey: ['people'] });
      say.done(done, undoable ? () => undo(before) : undefined);
    } catch (error) {
      say.failed(error);
      client.invalidateQueries({ queryKey: ['ladders'] });
    }
  };
  const undo = async (before: SyllabusGroup[]) => {
    try {
      const fresh = await client.fetchQuery<LadderView[]>({
        queryKey: ['ladders'],
        staleTime: 0,
        queryFn: () => fetchLadders(),
      });
      const tag = fresh.find((v) => v.ladder.id === view.ladder.id)?.tags[rank.id];
      await send('PUT', `/ladders/${view.ladder.id}/ranks/${rank.id}/syllabus`, { groups: before }, tag);
      client.invalidateQueries({ queryKey: ['ladders'] });
    } catch (error) {
      say.failed(error);
    }
  };
  const add = (items: Item[], done: string) => {
    const last = rank.syllabus.at(-1);
    const groups =
      last?.name === 'Added' && last.choose === 0
        ? [...rank.syllabus.slice(0, -1), { ...last, items: [...last.items, ...items] }]
        : [...rank.syllabus, { name: 'Added', choose: 0, items }];
    return save(groups, done);
  };
  const mend = (finding: Finding) => {
    const names = finding.mend.techniques.map((t) => map.technique.get(t)?.name).join(', ');
    return add(newItems(finding.mend.techniques, rank, map), `${names} added to ${rank.name}.`);
  };
  const remove = (item: Item) =>
    save(
      rank.syllabus
        .map((g) => ({ ...g, items: g.items.filter((i) => i.id !== item.id) }))
        .filter((g) => g.items.length > 0),
      `${nameOf(item, map, chains.data)} taken out of ${rank.name}.`,
    );
  const move = (item: Item, to: SyllabusGroup) =>
    save(
      rank.syllabus
        .map((g) => ({
          ...g,
          items: g === to ? [...g.items, item] : g.items.filter((i) => i.id !== item.id),
        }))
        .filter((g) => g.items.length > 0),
      `${nameOf(item, map, chains.data)} moved to ${to.name}.`,
    );

  return (
    <>
      <PageHead title={rank.name}>
        <Belt colours={rank.colours} of={rank.stripes} />
        <Link to={`/ranks?ladder=${view.ladder.id}`}>{view.ladder.name}</Link>
        {isHead && (
          <AddItem map={map} chains={chains.data ?? []} rank={rank} ladder={view.ladder} onAdd={add} />
        )}
      </PageHead>
      <div className={classes.columns}>
        <Scroll label="Syllabus" className={classes.groups}>
          {rank.syllabus.map((group) => (
            <section key={group.name} className={classes.group}>
              <h2>
                {group.name}
                <span className="quiet">
                  {group.choose > 0 ? ` choose ${group.choose} of ${group.items.length}` : ''}
                </span>
              </h2>
              <ul>
                {group.items.map((item) => (
                  <ItemLine key={item.id} {...{ item, map }} name={nameOf(item, map, chains.data)}>
                    {isHead && (
                      <Menu>
                        <Menu.Target>
                          <Button
                            variant="subtle"
                            size="compact-sm"
                            aria-label={`Change ${nameOf(item, map, chains.data)}`}
                          >
                            …
                          </Button>
                        </Menu.Target>
                        <Menu.Dropdown>
                          {rank.syllabus
                            .filter((g) => g !== group)
                            .map((g) => (
                              <Menu.Item key={g.name} onClick={() => move(item, g)}>
                                Move to {g.name}
                              </Menu.Item>
                            ))}
                          <Menu.Item color="rowan" onClick={() => remove(item)}>
                            Take out
                          </Menu.Item>
                        </Menu.Dropdown>
                      </Menu>
                    )}
                  </ItemLine>
                ))}
              </ul>
            </section>
          ))}
        </Scroll>
        <Scroll label="What a student who knows this can do" className={classes.side}>
          <h2>A student who knows exactly this</h2>
          <div className={classes.hill}>
            <Hillside
              map={map}
              selected={null}
              onSelect={(at) => navigate(`/map?at=${at}&eyes=rank:${rank.id}`)}
              signs={{ soil }}
              restWidth={1176}
              isSmall
            />
          </div>
          <h2>Does it hang together?</h2>
          {mine ? (
            <ul className={classes.findings} aria-label="Findings">
              {mine.findings.map((f) => (
                <StoneFinding
                  key={`${f.code} ${f.position} ${f.technique} ${f.reaction}`}
                  severity={f.severity}
                  action={
                    f.mend &&
                    isHead && (
                      <Button size="compact-md" onClick={() => mend(f)}>
                        Add {f.mend.techniques.map((t) => map.technique.get(t)?.name).join(' and ')} to{' '}
                        {rank.name}
                      </Button>
                    )
                  }
                >
                  {f.sentence}
                </StoneFinding>
              ))}
              {mine.findings.length === 0 && <li>It holds together: {count(0, 'finding', 'findings')}.</li>}
            </ul>
          ) : (
            <Waiting height={200} />
          )}
        </Scroll>
      </div>
    </>
  );
}

const fetchLadders = async (): Promise<LadderView[]> => (await import('../api/client')).read('/ladders');

export function nameOf(item: Item, map: MapIndex, chains?: ChainView[]): string {
  return (
    techniqueOf(item, map)?.name ??
    (item.kind === 'CHAIN' ? chains?.find((c) => c.chain.id === item.ref)?.chain.name : undefined) ??
    (item.kind === 'POSITION_GOAL' ? map.position.get(item.ref)?.name : undefined) ??
    item.words ??
    item.ref
  );
}

const SIDES: Record<string, string> = { BOTH: 'both sides', EITHER: '', RIGHT: 'right', LEFT: 'left' };

function ItemLine({
  item,
  map,
  name,
  children,
}: {
  item: Item;
  map: MapIndex;
  name: string;
  children?: React.ReactNode;
}) {
  const technique = techniqueOf(item, map);
  return (
    <li className={classes.item}>
      {technique ? (
        <Glyph family={technique.family} group={technique.group} size={20} />
      ) : (
        <i className={classes.dot} />
      )}
      <span>{name}</span>
      <span className="quiet">
        {[
          plain(item.standard).toLowerCase(),
          technique?.sided ? SIDES[item.sides] : '',
          item.stripe ? `from stripe ${item.stripe}` : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </span>
      {children}
    </li>
  );
}

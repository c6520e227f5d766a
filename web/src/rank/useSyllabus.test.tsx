// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it } from 'vitest';
import type { Item, LadderView, SyllabusGroup } from '../api/types';
import { smallMap } from '../testing/smallMap';
import { type Asked, browser, json, onStage } from '../testing/stage';
import { nth } from '../ui/lists';
import { blankLadder, nextRank } from './ladders';
import { useSyllabus } from './useSyllabus';

afterEach(cleanup);

const item = (ref: string, standard = 'SHOWN') =>
  ({ id: `i-${ref}`, kind: 'TECHNIQUE', ref, standard, sides: 'BOTH', words: null }) as unknown as Item;
const group = (...items: Item[]): SyllabusGroup => ({ name: 'All', choose: 0, items });

const view = (groups: SyllabusGroup[]) =>
  ({
    ladder: {
      ...blankLadder(),
      id: 'boats',
      ranks: [{ ...nextRank([]), id: 'white', name: 'White', syllabus: groups }],
    },
    tag: '"1"',
    tags: { white: '"w1"' },
  }) as unknown as LadderView;

const BASE = view([group(item('sweep'))]);

function Rank() {
  const syllabus = useSyllabus(BASE, nth(BASE.ladder.ranks, 0), smallMap);
  return (
    <>
      <button
        type="button"
        onClick={() => syllabus.save([group(item('sweep'), item('lock'))], 'The lock is asked for.')}
      >
        Add
      </button>
      <button
        type="button"
        onClick={() => syllabus.save([group(item('sweep', 'LIVE'))], 'The sweep is asked for live.')}
      >
        Raise
      </button>
      {syllabus.asked && (
        <button type="button" onClick={() => syllabus.confirm('2027-01-01')}>
          Keep the change
        </button>
      )}
    </>
  );
}

/** The rank over a server that is told whom a change touches and what somebody else has made of the rank meanwhile. */
function rank(touches: string[], theirs?: SyllabusGroup[]) {
  const sent: Asked[] = [];
  browser((one) => {
    if (one.path === '/ladders/boats/look')
      return json({ ranks: [{ rank: 'white', touches: touches.map((name) => ({ name })) }] });
    if (one.method === 'PUT') {
      sent.push(one);
      return theirs && one.tag === '"w1"'
        ? json({ code: 'STALE', detail: 'Somebody was faster.' }, { status: 412 })
        : json({}, { headers: { 'Lynchet-Edit': 'e-1' } });
    }
    return json({ ...view(theirs ?? []), tags: { white: '"w2"' } });
  });
  onStage(<Rank />);
  return sent;
}

const refs = (one: Asked) =>
  (one.body as { groups: SyllabusGroup[] }).groups.flatMap(({ items }) =>
    items.map(({ ref, standard }) => `${ref} ${standard}`),
  );

it('keeps at once what nobody who wears the rank would notice', async () => {
  const sent = rank([]);
  await userEvent.click(screen.getByText('Add'));
  await screen.findByText('The lock is asked for.');
  expect(sent.map((one) => [one.path, one.tag])).toEqual([['/ladders/boats/ranks/white/syllabus', '"w1"']]);
});

it('asks first where somebody would notice, and keeps it from the day that is chosen', async () => {
  const sent = rank(['Ana']);
  await userEvent.click(screen.getByText('Add'));
  await userEvent.click(await screen.findByText('Keep the change'));
  await screen.findByText(/^The lock is asked for\. It is asked for belts from /);
  expect(sent.map((one) => one.path)).toEqual(['/ladders/boats/ranks/white/syllabus?from=2027-01-01']);
  expect(screen.queryByText('Keep the change')).toBeNull();
});

it('puts both changes together where somebody else was faster', async () => {
  const sent = rank([], [group(item('sweep', 'LIVE'))]);
  await userEvent.click(screen.getByText('Add'));
  await screen.findByText('The lock is asked for. Somebody else changed this rank too; both stand.');
  expect(sent.map((one) => one.tag)).toEqual(['"w1"', '"w2"']);
  expect(refs(nth(sent, 1))).toEqual(['sweep LIVE', 'lock SHOWN']);
});

it('names what both changed, and keeps neither', async () => {
  const sent = rank([], [group(item('sweep', 'DRILLED'))]);
  await userEvent.click(screen.getByText('Raise'));
  await screen.findByText('Somebody else changed Hip-bump sweep meanwhile. Look at it and do it again.');
  expect(sent).toHaveLength(1);
});

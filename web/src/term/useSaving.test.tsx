// @vitest-environment jsdom
import { useQuery } from '@tanstack/react-query';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it } from 'vitest';
import { type Asked, browser, json, onStage } from '../testing/stage';
import { useSaving } from './useSaving';

afterEach(cleanup);

type Plan = { id: string; says: string };

/** A server that keeps one plan and counts its tags. */
function server() {
  const asked: Asked[] = [];
  const kept = { value: { id: 'p', says: 'first' } as Plan, tag: 1 };
  browser((one) => {
    asked.push(one);
    if (one.method === 'PUT') {
      if (one.tag !== `"${kept.tag}"`)
        return json({ code: 'STALE', detail: 'Somebody was faster.' }, { status: 412 });
      kept.value = one.body as Plan;
      kept.tag++;
    }
    return json(kept.value, { headers: { ETag: `"${kept.tag}"`, 'Lynchet-Edit': `e-${kept.tag}` } });
  });
  return { asked, kept, sent: () => asked.filter((one) => one.method === 'PUT') };
}

function Plan({ kept, tag }: { kept: Plan; tag: string }) {
  const { save, problem } = useSaving<Plan>('plans', kept, tag);
  return (
    <>
      <p>It says {kept.says}.</p>
      <button type="button" onClick={() => save({ ...kept, says: 'second' }, 'It says second.')}>
        Second
      </button>
      <button type="button" onClick={() => save({ ...kept, says: 'third' }, 'It says third.')}>
        Third
      </button>
      <p>{problem?.message}</p>
    </>
  );
}

function Page() {
  const plan = useQuery({
    queryKey: ['plans'],
    queryFn: async () => {
      const answer = await fetch('/api/plans/p');
      return { kept: (await answer.json()) as Plan, tag: answer.headers.get('ETag') ?? '' };
    },
  });
  return plan.data ? <Plan {...plan.data} /> : null;
}

const notice = (says: string) => screen.findByText(says);

it('saves under the tag it stands at now, change upon change', async () => {
  const { sent } = server();
  onStage(<Page />);
  await userEvent.click(await screen.findByText('Second'));
  await screen.findByText('It says second.', { selector: 'p' });
  await userEvent.click(screen.getByText('Third'));
  await screen.findByText('It says third.', { selector: 'p' });
  expect(sent().map((one) => one.tag)).toEqual(['"1"', '"2"']);
});

it('takes the last change back, and says so', async () => {
  const { sent, kept } = server();
  onStage(<Page />);
  await userEvent.click(await screen.findByText('Second'));
  await screen.findByText('It says second.', { selector: 'p' });
  await userEvent.click(await screen.findByText('Undo'));
  await notice('Taken back.');
  expect(kept.value.says).toBe('first');
  expect(sent()).toHaveLength(2);
});

it('takes no change back on which another stands', async () => {
  const { sent } = server();
  onStage(<Page />);
  await userEvent.click(await screen.findByText('Second'));
  await screen.findByText('It says second.', { selector: 'p' });
  await userEvent.click(screen.getByText('Third'));
  await screen.findByText('It says third.', { selector: 'p' });
  const [first] = screen.getAllByText('Undo');
  await userEvent.click(first as HTMLElement);
  await notice('It was changed since: take that back first.');
  expect(sent()).toHaveLength(2);
});

it('keeps nothing of what somebody else was faster with', async () => {
  const { kept } = server();
  onStage(<Page />);
  await screen.findByText('Second');
  kept.tag = 7;
  await userEvent.click(screen.getByText('Second'));
  await screen.findByText('Somebody was faster.');
  expect(kept.value.says).toBe('first');
});

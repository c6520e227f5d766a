// @vitest-environment jsdom
import { useQuery } from '@tanstack/react-query';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, it } from 'vitest';
import { read } from '../api/client';
import { browser, json, onStage } from '../testing/stage';
import { Boundary } from '../ui/States';
import { Stale } from './Stale';

afterEach(cleanup);

const said = () => screen.queryByText(/This page shows what was read/)?.textContent;

function People() {
  const people = useQuery<string[]>({
    queryKey: ['people'],
    queryFn: async () => (await read('/people')) as unknown as string[],
    staleTime: 0,
  });
  return (
    <p>
      {people.data?.join()}
      <button type="button" onClick={() => people.refetch()}>
        Again
      </button>
    </p>
  );
}

it('says that what is shown could not be read again, and stops once it could', async () => {
  let answer = () => json(['ana']);
  browser(() => answer());
  onStage(
    <>
      <Stale />
      <People />
    </>,
  );
  await screen.findByText('ana');
  expect(said()).toBeUndefined();

  answer = () => json({ code: 'BROKEN', detail: 'Something went wrong.' }, { status: 500 });
  await userEvent.click(screen.getByText('Again'));
  await screen.findByText(/This page/);
  expect(said()).toMatch(/Something went wrong\. This page shows what was read \w{3} \d/);
  expect(screen.getByText('ana'), 'what was read stays').toBeDefined();

  answer = () => json(['ana', 'bo']);
  await userEvent.click(screen.getByText('Try again'));
  await screen.findByText('ana,bo');
  expect(said()).toBeUndefined();
});

it('leaves it to the sign-in to say that somebody is signed out', async () => {
  let answer = () => json(['ana']);
  browser(() => answer());
  onStage(
    <>
      <Stale />
      <People />
    </>,
  );
  await screen.findByText('ana');
  answer = () => json({ code: 'SIGN_IN', detail: 'Sign in first.' }, { status: 401 });
  await userEvent.click(screen.getByText('Again'));
  answer = () => json(['bo']);
  await userEvent.click(screen.getByText('Again'));
  await screen.findByText('bo');
  expect(said()).toBeUndefined();
});

function Broken({ isBroken }: { isBroken: boolean }) {
  if (isBroken) throw new Error('Broken.');
  return <p>whole</p>;
}

function Screens() {
  const [at, setAt] = useState('/a');
  return (
    <>
      <button type="button" onClick={() => setAt('/b')}>
        Another
      </button>
      <Boundary screen={at}>
        <Broken isBroken={at === '/a'} />
      </Boundary>
    </>
  );
}

it('tries another screen by itself after a broken one', async () => {
  browser(() => json({}));
  onStage(<Screens />);
  expect(screen.getByRole('alert').textContent).toContain('This did not load');
  await userEvent.click(screen.getByText('Another'));
  await screen.findByText('whole');
});

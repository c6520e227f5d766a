import { Button, PasswordInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Problem, read, send } from '../api/client';
import type { SessionView } from '../api/types';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { date } from '../ui/words';
import classes from './HousePage.module.css';
import { SecondFactor } from './SecondFactor';

const EYE = { visibilityToggleButtonProps: { 'aria-label': 'Show the password' } };

/** One's own password, where one is signed in, and what else is asked of oneself. */
export function OwnAccount() {
  const [changing, setChanging] = useState(false);
  return (
    <>
      <section aria-label="My account">
        <h2>My password, and where I am signed in</h2>
        <Sessions />
        {changing ? (
          <OwnPassword onDone={() => setChanging(false)} />
        ) : (
          <Button variant="default" mt={12} onClick={() => setChanging(true)}>
            Change my password
          </Button>
        )}
      </section>
      <SecondFactor />
    </>
  );
}

function OwnPassword({ onDone }: { onDone: () => void }) {
  const say = useNotices();
  const client = useQueryClient();
  const form = useForm({
    initialValues: { old: '', password: '' },
    validate: {
      old: (old) => (old ? null : 'Your present password.'),
      password: (fresh) =>
        fresh.trim().length >= 10 ? null : 'At least 10 characters; a few words are good.',
    },
  });
  const save = form.onSubmit(async (body) => {
    try {
      await send('POST', '/session/password', body);
      client.invalidateQueries({ queryKey: ['sessions'] });
      say.done('Your password is changed; you were signed out everywhere else.');
      onDone();
    } catch (error) {
      const { where, message } = error as Problem;
      if (where === '/old' || where === '/password') form.setFieldError(where.slice(1), message);
      else say.failed(error);
    }
  });
  return (
    <form onSubmit={save} className={classes.narrow} noValidate>
      <PasswordInput
        label="The present one"
        autoComplete="current-password"
        {...EYE}
        {...form.getInputProps('old')}
      />
      <PasswordInput
        label="The new one"
        description="At least 10 characters; a few words in a row are good"
        autoComplete="new-password"
        {...EYE}
        {...form.getInputProps('password')}
      />
      <div className={classes.row}>
        <Button type="submit">Change it</Button>
        <Button variant="default" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

function Sessions() {
  const client = useQueryClient();
  const say = useNotices();
  const sessions = useQuery<SessionView[]>({ queryKey: ['sessions'], queryFn: () => read('/session/mine') });
  const end = async (id: string) => {
    try {
      await send('DELETE', `/session/mine/${id}`);
      client.invalidateQueries({ queryKey: ['sessions'] });
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <Loaded query={sessions}>
      {(all) => (
        <ul className={classes.sessions}>
          {all.map((session) => (
            <li key={session.id}>
              <span>
                {device(session.where)}
                {session.isThis && <strong> · here</strong>}
              </span>
              <span className="quiet">since {date(session.since)}</span>
              {!session.isThis && (
                <Button variant="default" size="compact-md" onClick={() => end(session.id)}>
                  Sign out there
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </Loaded>
  );
}

/** What a browser calls itself, as somebody would say it. */
export function device(agent: string): string {
  const system =
    (
      [
        ['iPad', 'iPad'],
        ['iPhone', 'iPhone'],
        ['Android', 'Android'],
        ['Windows', 'Windows'],
        ['Mac OS', 'Mac'],
        ['Linux', 'Linux'],
      ] as const
    ).find(([sign]) => agent.includes(sign))?.[1] ?? 'a device';
  const browser = (
    [
      ['Edg/', 'Edge'],
      ['Firefox/', 'Firefox'],
      ['Chrom', 'Chrome'],
      ['Safari/', 'Safari'],
    ] as const
  ).find(([sign]) => agent.includes(sign))?.[1];
  return browser ? `${browser} on ${system}` : system;
}

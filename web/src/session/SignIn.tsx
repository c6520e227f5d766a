import { Button, NativeSelect, PasswordInput, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { send } from '../api/client';
import type { Session, Welcome } from '../api/types';
import classes from './SignIn.module.css';

/** The first page: sign in; in a new club, make the head coach. */
export function SignIn({ welcome }: { welcome: Welcome }) {
  const client = useQueryClient();
  const [form, setForm] = useState({ name: '', password: '', code: '', club: '', library: 'WHOLE' });
  const [error, setError] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const first = welcome.first;
  const set = (field: keyof typeof form) => (event: { currentTarget: { value: string } }) => {
    const { value } = event.currentTarget;
    setForm((before) => ({ ...before, [field]: value }));
  };

  const enter = async (path: string, body: unknown) => {
    setBusy(true);
    setError(null);
    try {
      const session = await send<Session>('POST', path, body);
      client.setQueryData<Welcome>(['session'], { ...welcome, session });
    } catch (e) {
      setError((e as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter(first ? '/session/first' : '/session', first ? form : { name: form.name, password: form.password });
  };

  return (
    <main className={classes.page}>
      <svg className={classes.hill} viewBox="0 0 1280 800" preserveAspectRatio="none" aria-hidden="true">
        <path d="M0 240h420q30 0 40 30l20 60h260q30 0 40 30l20 60h200q30 0 40 30l20 60h220v310H0z" />
        <path d="M0 400h330q30 0 40 30l20 60h250q30 0 40 30l20 60h230q30 0 40 30l20 60h290v150H0z" />
        <path d="M0 560h250q30 0 40 30l20 60h250q30 0 40 30l20 60h660v60H0z" />
      </svg>
      <form className={classes.form} onSubmit={submit}>
        <p className={classes.mark}>Lynchet</p>
        <h1>{first ? 'A new club' : welcome.club}</h1>
        <p className="quiet">
          {first
            ? 'Make the head coach. The one-time code stands on the console that started Lynchet.'
            : 'The map, the ranks and tonight’s class.'}
        </p>
        {first && (
          <>
            <TextInput label="Code from the console" value={form.code} onChange={set('code')} required />
            <TextInput label="Name of the club" value={form.club} onChange={set('club')} required />
            <NativeSelect
              label="Begin with"
              description="Whatever you begin with is yours to change; more can be taken later."
              value={form.library}
              onChange={set('library')}
              data={[
                { value: 'WHOLE', label: 'The whole library' },
                { value: 'JACKET', label: 'What is done with a jacket' },
                { value: 'NO_JACKET', label: 'What is done without a jacket' },
                { value: 'EMPTY', label: 'An empty map' },
              ]}
            />
          </>
        )}
        <TextInput
          label={first ? 'Your account name (small letters)' : 'Account'}
          autoComplete="username"
          value={form.name}
          onChange={set('name')}
          required
          data-autofocus
        />
        <PasswordInput
          label="Password"
          autoComplete={first ? 'new-password' : 'current-password'}
          value={form.password}
          onChange={set('password')}
          visibilityToggleButtonProps={{ 'aria-label': 'Show the password' }}
          required
        />
        {error && (
          <p role="alert" className={classes.error}>
            {error}
          </p>
        )}
        <Button type="submit" size="md" loading={busy}>
          {first ? 'Open the club' : 'Sign in'}
        </Button>
        {welcome.demoAccounts.length > 0 && (
          <div className={classes.demo}>
            <p>The demo club. Enter as</p>
            {welcome.demoAccounts.map((name) => (
              <Button
                key={name}
                variant="default"
                onClick={() => enter('/session', { name, password: welcome.demoPassword })}
              >
                {name}
              </Button>
            ))}
            <p className="quiet">Password for all three: {welcome.demoPassword}</p>
          </div>
        )}
        <p className={classes.small}>{welcome.responsibility}</p>
      </form>
    </main>
  );
}

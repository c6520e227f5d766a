import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, type ReactNode, useState } from 'react';
import { type Problem, sendAs } from '../api/client';
import type { Session, Welcome } from '../api/types';
import classes from './SignIn.module.css';

type Props = {
  welcome: Welcome;
  /** Whose account is offered. */
  name?: string;
  /** A new club: what else is asked, and what is sent with it. */
  first?: { fields: ReactNode; body: object };
  onEntered?: (session: Session) => void;
};

/** Account and password; what was typed stays when it is refused. */
export function EnterForm({ welcome, name: offered = '', first, onEntered }: Props) {
  const client = useQueryClient();
  const [name, setName] = useState(offered);
  const [password, setPassword] = useState('');
  const [code, setCode] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const enter = async (path: string, body: unknown) => {
    setBusy(true);
    setError(null);
    try {
      const session = await sendAs<Session>('POST', path, body);
      client.setQueryData<Welcome>(['session'], { ...welcome, first: false, session });
      onEntered?.(session);
    } catch (e) {
      const { code: which, message } = e as Problem;
      if (which === 'SECOND_FACTOR') setCode('');
      else setError(message);
    } finally {
      setBusy(false);
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter(first ? '/session/first' : '/session', { name, password, ...(code && { code }), ...first?.body });
  };

  return (
    <form className={classes.fields} onSubmit={submit}>
      {first?.fields}
      <TextInput
        label={first ? 'Your account name' : 'Account'}
        description={first && 'Your first name will do. Capitals do not matter when you sign in.'}
        autoComplete="username"
        value={name}
        onChange={(event) => setName(event.currentTarget.value)}
        required
        data-autofocus={offered === '' || undefined}
      />
      <PasswordInput
        label="Password"
        autoComplete={first ? 'new-password' : 'current-password'}
        value={password}
        onChange={(event) => setPassword(event.currentTarget.value)}
        visibilityToggleButtonProps={{ 'aria-label': 'Show the password' }}
        required
        data-autofocus={offered !== '' || undefined}
      />
      {code !== null && (
        <TextInput
          label="The six figures that the app on your phone shows"
          description="or one of your recovery codes"
          autoComplete="one-time-code"
          value={code}
          onChange={(event) => setCode(event.currentTarget.value)}
          autoFocus
          required
        />
      )}
      {error && (
        <p role="alert" className={classes.error}>
          {error}
        </p>
      )}
      <Button type="submit" size="md" loading={busy}>
        {first ? 'Open the club' : 'Sign in'}
      </Button>
      {offered === '' && welcome.demoAccounts.length > 0 && (
        <div className={classes.demo}>
          <p>The demo club. Enter as</p>
          {welcome.demoAccounts.map((account) => (
            <Button
              key={account}
              variant="default"
              onClick={() => enter('/session', { name: account, password: welcome.demoPassword })}
            >
              {account}
            </Button>
          ))}
          <p className="quiet">Password for all three: {welcome.demoPassword}</p>
        </div>
      )}
    </form>
  );
}

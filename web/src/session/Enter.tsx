import { Button, PasswordInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Navigate } from 'react-router';
import { type Problem, send } from '../api/client';
import type { AccountView, Welcome } from '../api/types';
import { Waiting } from '../ui/States';
import { Doorway } from './Doorway';
import classes from './SignIn.module.css';

const ROLE = { VIEWER: 'read', COACH: 'record and plan', HEAD: 'decide and change everything' } as const;

/** The page of a one-time link: the person who has it chooses the password, once. What follows the # is not sent by itself. */
export function Enter({ welcome }: { welcome: Welcome }) {
  const [link] = useState(() => window.location.hash.slice(1));
  const account = useQuery<AccountView, Problem>({
    queryKey: ['link', link],
    queryFn: () => send('POST', '/session/link/look', { link }),
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  if (account.isPending) return <Waiting height="90vh" />;
  return (
    <Doorway title={welcome.club} responsibility={welcome.responsibility}>
      {account.data ? (
        <Choose welcome={welcome} account={account.data} link={link} />
      ) : (
        <>
          <p role="alert">{account.error?.message}</p>
          <Button component="a" href="/">
            Go to the sign-in
          </Button>
        </>
      )}
    </Doorway>
  );
}

type Props = { welcome: Welcome; account: AccountView; link: string };

function Choose({ welcome, account, link }: Props) {
  const client = useQueryClient();
  const [entered, setEntered] = useState(false);
  const form = useForm({
    initialValues: { password: '' },
    validate: {
      password: (fresh) =>
        fresh.trim().length >= 10 ? null : 'At least 10 characters; a few words are good.',
    },
  });
  const choose = form.onSubmit(async ({ password }) => {
    try {
      const session = await send('POST', '/session/link', { link, password });
      client.setQueryData<Welcome>(['session'], { ...welcome, first: false, session });
      setEntered(true);
    } catch (error) {
      form.setFieldError('password', (error as Problem).message);
    }
  });
  if (entered) return <Navigate to="/mat" replace />;
  return (
    <form className={classes.fields} onSubmit={choose} noValidate>
      <p>
        Your account is <strong>{account.name}</strong>; you may {ROLE[account.role]}. Choose your password.
      </p>
      <input type="text" autoComplete="username" value={account.name} readOnly hidden />
      <PasswordInput
        label="Password"
        description="At least 10 characters; a few words in a row are good"
        autoComplete="new-password"
        data-autofocus
        visibilityToggleButtonProps={{ 'aria-label': 'Show the password' }}
        {...form.getInputProps('password')}
      />
      <Button type="submit" size="md" loading={form.submitting}>
        Come in
      </Button>
    </form>
  );
}

import { Button, SegmentedControl, Switch, useMantineColorScheme } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { send } from '../api/client';
import { useSession } from '../api/club';
import { keysAreOn, switchKeys } from '../frame/keys';
import { useOutbox } from '../record/Recording';
import { ClubName } from './ClubName';
import { OwnAccount } from './OwnAccount';

/** Who is signed in; looks and keys. */
export function ClubRoom() {
  const session = useSession();
  const client = useQueryClient();
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  const outbox = useOutbox();
  const [keys, setKeys] = useState(keysAreOn());
  const signOut = async () => {
    await send('DELETE', '/session');
    client.clear();
    await outbox.forgetRead();
    window.location.assign('/');
  };
  return (
    <>
      <section>
        <h2>{session.data?.club}</h2>
        <p>
          Signed in as {session.data?.name} ({session.data?.role.toLowerCase()}).
        </p>
        <Button variant="default" onClick={signOut}>
          Sign out
        </Button>
      </section>
      <OwnAccount />
      {session.data?.role === 'HEAD' && <ClubName />}
      <section>
        <h2>Looks and keys</h2>
        <SegmentedControl
          aria-label="Light or dark"
          value={colorScheme}
          onChange={(value) => setColorScheme(value as 'light' | 'dark' | 'auto')}
          data={[
            { value: 'light', label: 'Light' },
            { value: 'dark', label: 'Dark' },
            { value: 'auto', label: 'As the system' },
          ]}
        />
        <Switch
          mt={14}
          label="Single-key shortcuts (press ? on any screen to see them)"
          checked={keys}
          onChange={(event) => {
            setKeys(event.currentTarget.checked);
            switchKeys(event.currentTarget.checked);
          }}
        />
      </section>
    </>
  );
}

import { Button, FileButton, SegmentedControl, Switch, useMantineColorScheme } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Problem, send, upload } from '../api/client';
import { useSession } from '../api/queries';
import type { Contents } from '../api/types';
import { keysAreOn, switchKeys } from '../frame/keys';
import { PageHead } from '../frame/PageHead';
import { useNotices } from '../ui/Notices';
import classes from './HousePage.module.css';

/** Looks, keys, the archive, signing out. */
export function HousePage() {
  const session = useSession();
  const client = useQueryClient();
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  const [keys, setKeys] = useState(keysAreOn());
  const signOut = async () => {
    await send('DELETE', '/session');
    client.clear();
    window.location.assign('/');
  };
  return (
    <>
      <PageHead title="House" />
      <div className={classes.body}>
        <section>
          <h2>{session.data?.club}</h2>
          <p>
            Signed in as {session.data?.name} ({session.data?.role.toLowerCase()}).
          </p>
          <Button variant="default" onClick={signOut}>
            Sign out
          </Button>
        </section>
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
        {session.data?.role === 'HEAD' && <ArchiveSection />}
      </div>
    </>
  );
}

type Checked = { file: File; contents?: Contents; problem?: Problem };

/** The whole club out and in; the check comes before anything is replaced. */
function ArchiveSection() {
  const client = useQueryClient();
  const say = useNotices();
  const [checked, setChecked] = useState<Checked | null>(null);
  const [busy, setBusy] = useState(false);
  const check = async (file: File | null) => {
    if (!file) return;
    setBusy(true);
    try {
      setChecked({ file, contents: await upload<Contents>('/archive/check', file) });
    } catch (error) {
      setChecked({ file, problem: error as Problem });
    } finally {
      setBusy(false);
    }
  };
  const replace = async () => {
    if (!checked) return;
    setBusy(true);
    try {
      const contents = await upload<Contents>('/archive?mode=replace', checked.file);
      await client.invalidateQueries();
      say.done(`${contents.name} is in place.`);
      setChecked(null);
    } catch (error) {
      say.failed(error);
    } finally {
      setBusy(false);
    }
  };
  return (
    <section>
      <h2>Archive</h2>
      <p>The whole club as one file that a person can read. Accounts and passwords are not in it.</p>
      <div className={classes.row}>
        <Button component="a" href="/api/archive" download="lynchet-club.json" variant="default">
          Export the club
        </Button>
        <FileButton accept="application/json,.json" onChange={check}>
          {(props) => (
            <Button {...props} variant="default" loading={busy}>
              Check a file
            </Button>
          )}
        </FileButton>
      </div>
      {checked?.contents && (
        <div className={classes.checked}>
          <p>
            {checked.file.name} is sound: {checked.contents.name}, {checked.contents.positions} positions,{' '}
            {checked.contents.techniques} techniques, {checked.contents.links} links,{' '}
            {checked.contents.chains} chains, {checked.contents.people} people, {checked.contents.classes}{' '}
            classes, {checked.contents.records} records.
          </p>
          <p>
            <strong>Replacing takes away everything this club holds now.</strong> Export it first.
          </p>
          <Button color="rowan" onClick={replace} loading={busy}>
            Replace the club with this file
          </Button>
        </div>
      )}
      {checked?.problem && (
        <p role="alert" className={classes.refused}>
          {checked.file.name} was refused whole, nothing has changed. {checked.problem.where}:{' '}
          {checked.problem.message} (rule {checked.problem.code})
        </p>
      )}
    </section>
  );
}

import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Problem, read, send } from '../api/client';
import type { SecondBegun, SecondView } from '../api/types';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { count } from '../ui/words';
import { CameraCode } from './CameraCode';
import classes from './HousePage.module.css';

/** A code of the telephone beside the password: off unless one wants it. */
export function SecondFactor() {
  const client = useQueryClient();
  const second = useQuery<SecondView, Problem>({
    queryKey: ['second'],
    queryFn: () => read('/session/second'),
  });
  const [changing, setChanging] = useState(false);
  const [recovery, setRecovery] = useState<string[] | null>(null);
  const changed = (codes: string[] | null) => {
    setChanging(false);
    setRecovery(codes);
    client.invalidateQueries({ queryKey: ['second'] });
  };
  return (
    <section aria-label="A code beside the password">
      <h2>A code beside the password</h2>
      <Loaded query={second}>
        {({ isOn, recoveryLeft }) => (
          <>
            <p>
              {isOn
                ? `When you sign in you are asked for the six figures that the app on your phone shows. ${count(recoveryLeft, 'recovery code is', 'recovery codes are')} left for a day without it.`
                : 'With it, your password alone lets nobody in: an app on your phone shows six figures, new ones each half minute. Any app for one-time codes will do.'}
            </p>
            {recovery && <Recovery codes={recovery} onDone={() => setRecovery(null)} />}
            {!recovery && !changing && (
              <Button variant="default" onClick={() => setChanging(true)}>
                {isOn ? 'Ask for it no longer' : 'Ask for a code'}
              </Button>
            )}
            {changing &&
              (isOn ? (
                <TurnOff onDone={() => changed(null)} onCancel={() => setChanging(false)} />
              ) : (
                <TurnOn onDone={changed} onCancel={() => setChanging(false)} />
              ))}
          </>
        )}
      </Loaded>
    </section>
  );
}

type AskProps = {
  label: string;
  press: string;
  isPassword?: boolean;
  onSent: (typed: string) => Promise<void>;
  onCancel: () => void;
};

/** One thing to type and one to press; what is wrong stands beneath it. */
function Ask({ label, press, isPassword, onSent, onCancel }: AskProps) {
  const [typed, setTyped] = useState('');
  const [error, setError] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    setError(null);
    try {
      await onSent(typed);
    } catch (problem) {
      setError((problem as Problem).message);
    } finally {
      setBusy(false);
    }
  };
  const field = {
    label,
    error,
    value: typed,
    onChange: (event: { currentTarget: { value: string } }) => setTyped(event.currentTarget.value),
    required: true,
    withAsterisk: false,
    autoFocus: true,
  };
  return (
    <form onSubmit={submit} className={classes.narrow}>
      {isPassword ? (
        <PasswordInput
          {...field}
          autoComplete="current-password"
          visibilityToggleButtonProps={{ 'aria-label': 'Show the password' }}
        />
      ) : (
        <TextInput {...field} inputMode="numeric" autoComplete="one-time-code" maxLength={7} />
      )}
      <div className={classes.row}>
        <Button type="submit" loading={busy}>
          {press}
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

function TurnOn({ onDone, onCancel }: { onDone: (codes: string[]) => void; onCancel: () => void }) {
  const [begun, setBegun] = useState<SecondBegun | null>(null);
  if (begun === null) {
    return (
      <Ask
        label="Your password"
        press="Go on"
        isPassword
        onSent={async (password) => setBegun(await send('POST', '/session/second', { password }))}
        onCancel={onCancel}
      />
    );
  }
  return (
    <>
      <p>Point the app’s camera at this, or type the key into it. Then type the six figures it shows.</p>
      <CameraCode path={begun.picture.path} side={begun.picture.side} says="Code for the app" />
      <p>
        <code className={classes.key}>{begun.key.match(/.{1,4}/g)?.join(' ')}</code> ·{' '}
        <a href={begun.address}>Open it in the app of this device</a>
      </p>
      <Ask
        label="The six figures"
        press="Ask for it from now on"
        onSent={async (code) => onDone(await send('POST', '/session/second/on', { code }))}
        onCancel={onCancel}
      />
    </>
  );
}

function TurnOff({ onDone, onCancel }: { onDone: () => void; onCancel: () => void }) {
  const say = useNotices();
  const off = async (password: string) => {
    await send('POST', '/session/second/off', { password });
    say.done('From now on your password is enough.');
    onDone();
  };
  return (
    <Ask label="Your password" press="Ask for it no longer" isPassword onSent={off} onCancel={onCancel} />
  );
}

function Recovery({ codes, onDone }: { codes: string[]; onDone: () => void }) {
  return (
    <div role="status">
      <p>
        For a day without your phone: each of these lets you in once in place of the figures. Print them or
        write them down now; they are not shown again.
      </p>
      <ul className={classes.recovery}>
        {codes.map((code) => (
          <li key={code}>
            <code>{code}</code>
          </li>
        ))}
      </ul>
      <Button onClick={onDone}>I have them</Button>
    </div>
  );
}

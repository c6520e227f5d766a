import { Button, Modal, Select, Switch, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Problem, read, send } from '../api/client';
import { useNames } from '../api/people';
import type { AccountView, Given, Role } from '../api/types';
import { pathOf } from '../form/useDraft';
import { useChanged } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { date } from '../ui/words';
import classes from './AccountsRoom.module.css';
import { SignIns } from './SignIns';

const ROLES: { value: Role; label: string; may: string }[] = [
  { value: 'COACH', label: 'Coach', may: 'records at the mat, plans classes, writes chains' },
  { value: 'HEAD', label: 'Head coach', may: 'decides and changes everything' },
  { value: 'VIEWER', label: 'Viewer', may: 'reads, without ages, notes and health' },
];
const roleName = (role: Role) => ROLES.find((r) => r.value === role)?.label ?? role;

const useAccounts = () =>
  useQuery<AccountView[], Problem>({ queryKey: ['accounts'], queryFn: () => read('/accounts') });

/** Who may sign in, and what they may do. */
export function AccountsRoom() {
  const accounts = useAccounts();
  const [given, setGiven] = useState<Given | null>(null);
  const [changing, setChanging] = useState<AccountView | null>(null);
  return (
    <>
      <section aria-label="Accounts">
        <h2>Who may sign in</h2>
        <Loaded query={accounts}>
          {(all) => (
            <ul className={classes.list}>
              {all.map((account) => (
                <AccountLine
                  key={account.name}
                  account={account}
                  onChange={() => setChanging(account)}
                  onGiven={setGiven}
                />
              ))}
            </ul>
          )}
        </Loaded>
      </section>
      <section aria-label="A new account">
        <h2>Let somebody else in</h2>
        <p className="quiet">
          You get a link for them. They choose a password of their own with it; it works once, for a week.
        </p>
        <NewAccount onGiven={setGiven} />
      </section>
      <SignIns />
      {given && <GivenLink given={given} onClose={() => setGiven(null)} />}
      {changing && <ChangeAccount account={changing} onClose={() => setChanging(null)} />}
    </>
  );
}

type LineProps = { account: AccountView; onChange: () => void; onGiven: (given: Given) => void };

function AccountLine({ account, onChange, onGiven }: LineProps) {
  const names = useNames();
  const changed = useChanged();
  const say = useNotices();
  const person = names.data?.find((p) => p.id === account.person);
  const link = async () => {
    try {
      onGiven(await send('POST', `/accounts/${encodeURIComponent(account.name)}/link`, {}));
      void changed('account');
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <li data-account={account.name} className={account.isOff ? classes.off : undefined}>
      <strong>{account.name}</strong>
      <span>
        {roleName(account.role)}
        {person && <span className="quiet"> · {person.name}</span>}
      </span>
      <span className="quiet">{standing(account)}</span>
      <span className={classes.tools}>
        <Button variant="default" size="compact-md" onClick={onChange}>
          Change
        </Button>
        {!account.isOff && (
          <Button variant="default" size="compact-md" onClick={link}>
            {account.hasPassword ? 'New password' : 'New link'}
          </Button>
        )}
      </span>
    </li>
  );
}

function standing(account: AccountView): string {
  if (account.isOff) return 'switched off';
  if (account.linkUntil) return `a link is open until ${date(account.linkUntil)}`;
  if (!account.hasPassword) return 'the link ran out; give a new one';
  return account.hasSecond ? 'asks for a code too' : '';
}

function NewAccount({ onGiven }: { onGiven: (given: Given) => void }) {
  const changed = useChanged();
  const names = useNames();
  const say = useNotices();
  const form = useForm({
    initialValues: { name: '', role: 'COACH' as Role, person: null as string | null },
    validate: {
      name: (name) =>
        /^[\p{L}\p{M}\p{Nd}]+([ ._-][\p{L}\p{M}\p{Nd}]+)*$/u.test(name.trim()) && name.trim().length <= 40
          ? null
          : 'Letters and digits, at most 40; capitals do not matter for signing in.',
    },
  });
  const make = form.onSubmit(async (body) => {
    try {
      onGiven(await send('POST', '/accounts', body));
      form.reset();
      void changed('account');
    } catch (error) {
      const { where, message } = error as Problem;
      if (where === '/name') form.setFieldError(pathOf(where), message);
      else say.failed(error);
    }
  });
  const role = ROLES.find((r) => r.value === form.values.role);
  return (
    <form onSubmit={make} className={classes.form} noValidate>
      <TextInput
        label="Account name"
        placeholder="Marta"
        autoComplete="off"
        {...form.getInputProps('name')}
      />
      <Select
        label="May"
        description={role?.may}
        data={ROLES.map(({ value, label }) => ({ value, label }))}
        allowDeselect={false}
        {...form.getInputProps('role')}
      />
      <Person
        names={names.data}
        value={form.values.person}
        onChange={(p) => form.setFieldValue('person', p)}
      />
      <Button type="submit">Make the account</Button>
    </form>
  );
}

type PersonProps = {
  names?: { id: string; name: string }[];
  value: string | null;
  onChange: (person: string | null) => void;
};

/** Whose account it is, so that nobody marks or promotes themselves. */
function Person({ names, value, onChange }: PersonProps) {
  return (
    <Select
      label="Whose it is"
      placeholder="Nobody who trains here"
      searchable
      clearable
      limit={40}
      data={names?.map((p) => ({ value: p.id, label: p.name })) ?? []}
      value={value}
      onChange={onChange}
    />
  );
}

function ChangeAccount({ account, onClose }: { account: AccountView; onClose: () => void }) {
  const changed = useChanged();
  const names = useNames();
  const say = useNotices();
  const form = useForm({
    initialValues: { role: account.role, person: account.person, isOff: account.isOff },
  });
  const save = form.onSubmit(async (body) => {
    try {
      await send('PUT', `/accounts/${encodeURIComponent(account.name)}`, body);
      void changed('account');
      say.done(`${account.name} is changed.`);
      onClose();
    } catch (error) {
      const { where, message } = error as Problem;
      if (where === '/role') form.setFieldError('role', message);
      else say.failed(error);
    }
  });
  return (
    <Modal opened onClose={onClose} title={account.name} closeButtonProps={{ 'aria-label': 'Close' }}>
      <form onSubmit={save} className={classes.stack} noValidate>
        <Select
          label="May"
          description={ROLES.find((r) => r.value === form.values.role)?.may}
          data={ROLES.map(({ value, label }) => ({ value, label }))}
          allowDeselect={false}
          {...form.getInputProps('role')}
        />
        <Person
          names={names.data}
          value={form.values.person}
          onChange={(p) => form.setFieldValue('person', p)}
        />
        <Switch
          label="May sign in"
          description="Switched off, every open page of theirs is asked to sign in; what they recorded stays."
          checked={!form.values.isOff}
          onChange={(event) => form.setFieldValue('isOff', !event.currentTarget.checked)}
        />
        <Button type="submit">Save</Button>
      </form>
    </Modal>
  );
}

/** Where a one-time link leads; what follows the # stays in the browser and out of any log. */
const addressOf = (given: Given) => `${window.location.origin}/enter#${given.link}`;

function GivenLink({ given, onClose }: { given: Given; onClose: () => void }) {
  const [copied, setCopied] = useState(false);
  const { name, linkUntil } = given.account;
  const copy = async () => {
    await navigator.clipboard.writeText(addressOf(given)).catch(() => undefined);
    setCopied(true);
  };
  return (
    <Modal opened onClose={onClose} title={`A link for ${name}`} closeButtonProps={{ 'aria-label': 'Close' }}>
      <div className={classes.stack}>
        <p>
          Give it to {name} and nobody else. It works once
          {linkUntil ? `, until ${date(linkUntil)}` : ''}; it is not shown again.
        </p>
        <TextInput
          aria-label="The link"
          readOnly
          value={addressOf(given)}
          onFocus={(event) => event.currentTarget.select()}
        />
        <Button onClick={copy} data-autofocus>
          {copied ? 'Copied' : 'Copy it'}
        </Button>
      </div>
    </Modal>
  );
}

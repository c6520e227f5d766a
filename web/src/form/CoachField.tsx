import { Select } from '@mantine/core';
import { useState } from 'react';
import { useCoaches, useNames } from '../api/queries';
import { useWho } from '../ui/coaches';

type Props = {
  label: string;
  value: string | null;
  error?: string;
  onChange: (coach: string | null) => void;
};

/** Who gives it: one of the coaches, somebody else who trains here, or a name of somebody who does not. */
export function CoachField({ label, value, error, onChange }: Props) {
  const coaches = useCoaches().data?.coaches ?? [];
  const people = useNames().data ?? [];
  const who = useWho();
  const [typed, setTyped] = useState('');
  const known = new Set(coaches.map((one) => one.id));
  const others = people.filter((one) => !known.has(one.id) && !one.guest);
  const text = typed.trim();
  const isNew =
    text !== '' && ![...coaches, ...others].some((one) => one.name === text) && text !== who(value);
  const asWritten = [
    ...(value && !known.has(value) && !others.some((one) => one.id === value)
      ? [{ value, label: who(value) }]
      : []),
    ...(isNew ? [{ value: text, label: `${text}, who does not train here` }] : []),
  ];
  return (
    <Select
      label={label}
      placeholder="Nobody yet"
      searchable
      clearable
      limit={40}
      error={error}
      value={value}
      onSearchChange={setTyped}
      onChange={(chosen) => onChange(chosen || null)}
      data={[
        { group: 'Coaches', items: coaches.map((one) => ({ value: one.id, label: one.name })) },
        { group: 'As written', items: asWritten },
        { group: 'Who trains here', items: others.map((one) => ({ value: one.id, label: one.name })) },
      ].filter((group) => group.items.length > 0)}
    />
  );
}

import { Select } from '@mantine/core';
import { useState } from 'react';
import { useCoaches } from '../api/mat';
import { useNames } from '../api/people';
import { useWho } from '../ui/coaches';
import { coachOptions } from './coachOptions';

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
      data={coachOptions(
        coaches,
        people.filter((one) => !one.guest),
        value,
        who(value),
        typed,
      )}
    />
  );
}

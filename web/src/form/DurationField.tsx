import { TextInput, type TextInputProps } from '@mantine/core';
import { useEffect, useState } from 'react';
import { minutesAndSeconds, secondsOf } from './duration';

type Props = Omit<TextInputProps, 'value' | 'onChange'> & {
  /** In seconds. */
  value: number;
  most: number;
  /** What stands there for nothing. */
  none: string;
  onChange: (seconds: number) => void;
};

/** Minutes and seconds, typed as they are said: 5, 5:30, 45 s. */
export function DurationField({ value, most, none, onChange, error, ...rest }: Props) {
  const shown = value === 0 ? '' : minutesAndSeconds(value);
  const [typed, setTyped] = useState(shown);
  const seconds = secondsOf(typed);
  const fits = seconds !== null && seconds <= most;
  useEffect(() => {
    setTyped((text) => (secondsOf(text) === value ? text : shown));
  }, [value, shown]);
  return (
    <TextInput
      {...rest}
      placeholder={none}
      inputMode="numeric"
      value={typed}
      error={fits ? error : `Minutes and seconds, like 5:00; at most ${minutesAndSeconds(most)}.`}
      onChange={(event) => {
        const text = event.currentTarget.value;
        setTyped(text);
        const read = secondsOf(text);
        if (read !== null && read <= most) onChange(read);
      }}
      onBlur={() => fits && setTyped(shown)}
    />
  );
}

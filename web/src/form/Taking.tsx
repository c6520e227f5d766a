import { Select, type SelectProps } from '@mantine/core';
import { useState } from 'react';

type Props = Omit<SelectProps, 'value' | 'onChange' | 'searchValue' | 'onSearchChange'> & {
  onTake: (value: string, label: string) => void;
};

/** A field out of which one thing after another is taken: what was typed goes with what was taken. */
export function Taking({ onTake, ...rest }: Props) {
  const [typed, setTyped] = useState('');
  return (
    <Select
      {...rest}
      value={null}
      searchValue={rest.searchable ? typed : undefined}
      onSearchChange={rest.searchable ? setTyped : undefined}
      onChange={(value, option) => {
        setTyped('');
        if (value) onTake(value, option?.label ?? value);
      }}
    />
  );
}

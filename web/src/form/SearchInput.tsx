import { TextInput, type TextInputProps } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';

type Props = Omit<TextInputProps, 'value' | 'onChange'> & { value: string; onChange: (text: string) => void };

/**
 * A field whose text stands in the address. What is typed stands here at once: the address follows a moment later, and a
 * field that waited for it would lose letters of a fast typist.
 */
export function SearchInput({ value, onChange, ...rest }: Props) {
  const [text, setText] = useState(value);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    // While somebody types, the address is behind; else it was changed by something beside this field.
    if (document.activeElement !== field.current) setText(value);
  }, [value]);
  return (
    <TextInput
      {...rest}
      ref={field}
      value={text}
      onChange={(event) => {
        const typed = event.currentTarget.value;
        setText(typed);
        onChange(typed);
      }}
    />
  );
}

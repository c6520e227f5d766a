import { TextInput } from '@mantine/core';
import { useEffect, useEffectEvent, useRef, useState } from 'react';

/** Digits that come without a pause belong to one card. */
const PAUSE = 3000;

/** A card number, typed or read: digits and Enter go to check-in wherever the focus is on this screen. */
export function CardField({ onCard }: { onCard: (number: string) => void }) {
  const [text, setText] = useState('');
  const read = useRef({ digits: '', at: 0 });
  const take = useEffectEvent(onCard);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (target?.closest('input, textarea') || event.ctrlKey || event.metaKey || event.altKey) return;
      const now = Date.now();
      if (now - read.current.at > PAUSE) read.current.digits = '';
      read.current.at = now;
      if (/^\d$/.test(event.key)) read.current.digits += event.key;
      else if (event.key === 'Enter' && read.current.digits.length > 1) {
        event.preventDefault();
        take(read.current.digits);
        read.current.digits = '';
      } else read.current.digits = '';
    };
    document.addEventListener('keydown', onKey, true);
    return () => document.removeEventListener('keydown', onKey, true);
  }, []);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onCard(text.trim());
        setText('');
      }}
    >
      <TextInput
        aria-label="Card number"
        placeholder="Card number"
        inputMode="numeric"
        size="md"
        w={150}
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
      />
    </form>
  );
}

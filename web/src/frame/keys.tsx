import { type HotkeyItem, useHotkeys } from '@mantine/hooks';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { SECTIONS } from './sections';

const OFF = 'lynchet-keys-off';
/** How long a dot waits for its digit, in milliseconds. */
const DOT_HOLDS = 2000;

export const keysAreOn = () => localStorage.getItem(OFF) === null;

export function switchKeys(on: boolean) {
  if (on) localStorage.removeItem(OFF);
  else localStorage.setItem(OFF, '1');
}

/** Keys of the whole page: none fires in a text field, with a modifier, or when they are switched off in House. */
export function useShortcuts(keys: Record<string, () => void>) {
  useHotkeys(
    Object.entries(keys).map<HotkeyItem>(([key, act]) => [
      key,
      (event) => {
        if (!keysAreOn()) return;
        event.preventDefault();
        act();
      },
      { preventDefault: false },
    ]),
    ['INPUT', 'TEXTAREA', 'SELECT'],
  );
}

/** A dot and a digit go to a section; a question mark shows the keys. */
export function useKeys() {
  const navigate = useNavigate();
  const dotted = useRef(0);
  const [help, setHelp] = useState(false);
  const sections = SECTIONS.map((section): [string, () => void] => [
    section.digit,
    () => {
      if (Date.now() - dotted.current < DOT_HOLDS) navigate(section.path);
      dotted.current = 0;
    },
  ]);
  useShortcuts({
    ...Object.fromEntries(sections),
    '.': () => {
      dotted.current = Date.now();
    },
    'shift+?': () => setHelp(true),
    '?': () => setHelp(true),
  });
  return { help, closeHelp: () => setHelp(false) };
}

import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { SECTIONS } from './sections';

const OFF = 'lynchet-keys-off';

export const keysAreOn = () => localStorage.getItem(OFF) === null;

export function switchKeys(on: boolean) {
  if (on) localStorage.removeItem(OFF);
  else localStorage.setItem(OFF, '1');
}

/** No shortcut fires in a text field, with a modifier, or when they are switched off in House. */
export function shortcutsOn(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  const typing = target?.closest('input, textarea, select, [contenteditable="true"]');
  return keysAreOn() && !typing && !event.ctrlKey && !event.metaKey && !event.altKey;
}

/** A dot and a digit go to a section; a question mark shows the keys. */
export function useKeys() {
  const navigate = useNavigate();
  const dotted = useRef(false);
  const [help, setHelp] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!shortcutsOn(event)) return;
      const section = dotted.current ? SECTIONS.find((s) => s.digit === event.key) : undefined;
      dotted.current = event.key === '.';
      if (section) navigate(section.path);
      else if (event.key === '?') setHelp(true);
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [navigate]);
  return { help, closeHelp: () => setHelp(false) };
}

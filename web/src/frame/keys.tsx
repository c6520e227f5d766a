import { Modal } from '@mantine/core';
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

const HERE: Record<string, [string, string][]> = {
  '/map': [
    ['→', 'follow the chosen path, the best one first'],
    ['←', 'back'],
    ['↑ ↓', 'choose another path'],
    ['Shift + arrows', 'the nearest plot'],
    ['x', 'swap eyes'],
    ['r', 'routes from the selected plot'],
    ['c', 'the card of the chosen path’s technique'],
    ['Esc', 'close the sheet'],
  ],
  '/chains': [
    ['Enter', 'take the suggestion; on an empty line, leave the turn-off'],
    ['if …', 'open a turn-off'],
    ['Backspace', 'on an empty line, remove the step'],
    ['↑ ↓', 'choose a suggestion'],
  ],
  '/mat': [['digits, Enter', 'check in a card, wherever the focus is']],
};

export function KeysHelp({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  const here = Object.entries(HERE).find(([path]) => window.location.pathname.startsWith(path))?.[1] ?? [];
  const rows: [string, string][] = [
    ...here,
    ...SECTIONS.map<[string, string]>((s) => [`. ${s.digit}`, s.name]),
    ['/', 'find anything'],
    ['u', 'the newest notice, to undo or close it'],
    ['?', 'this list'],
  ];
  return (
    <Modal opened={opened} onClose={onClose} title="Keys" closeButtonProps={{ 'aria-label': 'Close' }}>
      <table>
        <tbody>
          {rows.map(([key, what]) => (
            <tr key={key}>
              <th scope="row" style={{ textAlign: 'left', paddingRight: 24 }}>
                <kbd>{key}</kbd>
              </th>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}

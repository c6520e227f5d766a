import { Modal } from '@mantine/core';
import { SECTIONS } from './sections';

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

/** The keys of this screen, and those that work everywhere. */
export function KeysHelp({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  const here = Object.entries(HERE).find(([path]) => window.location.pathname.startsWith(path))?.[1] ?? [];
  const rows: [string, string][] = [
    ...here,
    ...SECTIONS.map<[string, string]>((s) => [`. ${s.digit}`, s.name]),
    ['/', 'find anything'],
    ['u', 'what you did last, to take it back'],
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

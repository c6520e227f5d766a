import type { Contents, Preview } from '../api/types';
import { nth } from '../ui/lists';

/** What a sheet is about. */
export type SheetKind = 'roster' | 'attendance' | 'marks';

/** A file that somebody chose, as it was looked at. */
export type Looked =
  | { kind: 'archive'; file: File; contents: Contents }
  | { kind: 'sheet'; file: File; sheet: SheetKind; preview: Preview; dates: string | null };

export const SHEETS: { value: SheetKind; label: string }[] = [
  { value: 'roster', label: 'Roster' },
  { value: 'attendance', label: 'Attendance' },
  { value: 'marks', label: 'Marks' },
];

/** Ways of writing dates, by example, as the server names them. */
export const DATE_WAYS = ['2026-11-24', '24.11.2026', '24/11/2026', '11/24/2026'];

export const isArchive = (file: File) => /\.json$/i.test(file.name) || file.type === 'application/json';

/** What a sheet is most likely about, judged by the names of its columns. */
export async function likelySheet(file: File): Promise<SheetKind> {
  const head = nth((await file.slice(0, 2000).text()).split('\n'), 0).toLowerCase();
  if (/pass|standard|technique/.test(head)) return 'marks';
  return /class|attend|student/.test(head) ? 'attendance' : 'roster';
}

/** What a spreadsheet might take for a formula gets a sign before it, so that it is read as text. */
const cell = (value: string | number | null) => {
  const text = value === null ? '' : String(value);
  const safe = typeof value === 'string' && /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
  return /[",\n\r]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** Rows as a sheet, each line ended, with the mark that tells every spreadsheet its letters. */
export const csv = (rows: (string | number | null)[][]) =>
  `\ufeff${rows.map((row) => `${row.map(cell).join(',')}\r\n`).join('')}`;

/** Hands a sheet to the person who sits here. */
export function download(name: string, text: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

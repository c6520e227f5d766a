/** "receiverFalls" → "receiver falls" */
export const inWords = (field: string) => field.replace(/([A-Z])/g, ' $1').toLowerCase();

/** An id made of a name: small letters, digits, hyphens. */
export const slug = (name: string) =>
  name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);

/** What an address says of a thing that is not yet there. */
export const NEW = 'new';

/** The slug, or with the first number behind it that is free. */
export function freeId(name: string, taken: (id: string) => boolean): string {
  const wanted = slug(name) || NEW;
  if (wanted !== NEW && !taken(wanted)) return wanted;
  for (let n = 2; ; n++) if (!taken(`${wanted}-${n}`)) return `${wanted}-${n}`;
}

/** To tenths, so that −0.1 − 0.2 is −0.3. */
export const tenths = (n: number) => Math.round(n * 10) / 10 + 0;

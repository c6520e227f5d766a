/** What somebody had typed when the page had to be loaded again. */
export type Typed = { label: string; text: string }[];

const RELOADED = 'reloaded-at';
const TYPED = 'typed-before';

/** Once in so long: a part that is gone for good is said, and not asked for without end. */
const APART_MS = 60_000;

const TEXTS = 'textarea, input:not([type]), input[type="text"], input[type="email"], input[type="tel"]';

/** Every text in a form of the page, with what stands beside it. */
export function typedIn(page: ParentNode): Typed {
  return [...page.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('form')].flatMap((form) =>
    [...form.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(TEXTS)].flatMap((field) => {
      const label = field.labels?.[0]?.textContent ?? field.getAttribute('aria-label') ?? field.placeholder;
      return field.value.trim() ? [{ label, text: field.value }] : [];
    }),
  );
}

/**
 * After an update a part of the program that an open page has not fetched yet is gone: the page is loaded again, once. What
 * waits to be sent is kept anyway; what was typed is shown afterwards.
 */
export function reloadOnce(store: Storage, typed: Typed, reload: () => void, now = Date.now()): boolean {
  if (now - Number(store.getItem(RELOADED) ?? 0) < APART_MS) return false;
  store.setItem(RELOADED, String(now));
  if (typed.length > 0) store.setItem(TYPED, JSON.stringify(typed));
  reload();
  return true;
}

export function typedBefore(store: Storage): Typed {
  try {
    return JSON.parse(store.getItem(TYPED) ?? '[]') as Typed;
  } catch {
    return [];
  }
}

export const forgetTyped = (store: Storage) => store.removeItem(TYPED);

/** Listens for parts that are gone. Where the server does not answer nothing is gone: the page stays as it is. */
export function goOnAfterAnUpdate(isServerWell: () => Promise<boolean>) {
  window.addEventListener('vite:preloadError', () => {
    const typed = typedIn(document); // before what failed takes the form from the page
    isServerWell().then(
      (isWell) => isWell && reloadOnce(sessionStorage, typed, () => location.reload()),
      () => {},
    );
  });
}

import type { Answer, Write } from './paths';

/** An answer that is an error: what the server said, its code, and where. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly where?: string,
  ) {
    super(message);
  }
}

/** A problem as the server writes it, in an answer or in a job that failed. */
export type Said = { status?: number; code?: string; detail?: string; where?: string };

export const problemOf = (said: Said) =>
  new Problem(said.status ?? 0, said.code ?? 'BROKEN', said.detail ?? 'Something went wrong.', said.where);

function csrf(): string {
  return document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]*)/)?.[1] ?? '';
}

type Options = { method?: string; body?: unknown; raw?: BodyInit; tag?: string };

/** Asks; where the token was another by the time the request left, as on the first page of a new browser, once more. */
async function ask(path: string, options: Options): Promise<Response> {
  try {
    return await askOnce(path, options);
  } catch (error) {
    if (error instanceof Problem && error.code === 'CSRF') return askOnce(path, options);
    throw error;
  }
}

async function askOnce(path: string, { method = 'GET', body, raw, tag }: Options): Promise<Response> {
  const headers: Record<string, string> = {};
  if (method !== 'GET') headers['X-XSRF-TOKEN'] = csrf();
  if (body !== undefined || raw !== undefined)
    headers['Content-Type'] =
      raw instanceof Blob && raw.type.startsWith('image/') ? raw.type : 'application/json';
  if (tag) headers['If-Match'] = tag;
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      body: raw ?? (body === undefined ? undefined : JSON.stringify(body)),
      credentials: 'same-origin',
    });
  } catch {
    throw new Problem(0, 'OFFLINE', 'The server does not answer.');
  }
  if (!response.ok) {
    const said = await response.json().catch(() => ({}));
    if (response.status === 401 && !path.startsWith('/session'))
      window.dispatchEvent(new Event('signed-out'));
    throw problemOf({ ...said, status: response.status });
  }
  return response;
}

/** Whether the server is there and says that it is well. */
export const isServerWell = async () => (await fetch('/actuator/health', { cache: 'no-store' })).ok;

export async function read<A extends string>(path: A): Promise<Answer<A>> {
  return (await ask(path, {})).json();
}

/** Reads a value with its ETag, for saving it again. */
export async function readTagged<A extends string>(path: A): Promise<{ value: Answer<A>; tag: string }> {
  const response = await ask(path, {});
  return { value: await response.json(), tag: response.headers.get('ETag') ?? '' };
}

/** The same for a form that knows by its kind what it reads. */
export const readTaggedAs = <T>(path: string) => readTagged(path) as Promise<{ value: T; tag: string }>;

export async function send<M extends Write, A extends string>(
  method: M,
  path: A,
  body?: unknown,
  tag?: string,
): Promise<Answer<A, Lowercase<M>>> {
  const response = await ask(path, { method, body, tag });
  return response.status === 204 ? (undefined as Answer<A, Lowercase<M>>) : response.json();
}

/** What is sent and answered where the address is made elsewhere, and the caller knows the type. */
export const sendAs = <T>(method: Write, path: string, body?: unknown, tag?: string) =>
  send(method, path, body, tag) as Promise<T>;

/** Sends a change; answers with the id of the edit, by which it can be taken back, or null if nothing was different. */
export async function sendEdit<M extends Write, A extends string>(
  method: M,
  path: A,
  body?: unknown,
  tag?: string,
): Promise<{ value: Answer<A, Lowercase<M>>; edit: string | null }> {
  const response = await ask(path, { method, body, tag });
  const value = response.status === 204 ? undefined : await response.json();
  return { value, edit: response.headers.get('Lynchet-Edit') };
}

/** Puts a file, such as a picture, as it is. */
export async function put(path: string, file: Blob): Promise<void> {
  await ask(path, { method: 'PUT', raw: file });
}

/** The same for a form that knows by its kind what it sends. */
export const sendEditAs = <T>(method: Write, path: string, body?: unknown, tag?: string) =>
  sendEdit(method, path, body, tag) as Promise<{ value: T; edit: string | null }>;

export async function upload<A extends string>(path: A, file: Blob): Promise<Answer<A, 'post'>> {
  return (await ask(path, { method: 'POST', raw: file })).json();
}

/** An id made here, so that a record sent twice is kept once. */
export function newId(kind: string): string {
  return `${kind}-${crypto.randomUUID()}`;
}

import { Problem } from '../api/client';
import type { Write } from '../api/paths';
import type { Database } from './kept';
import { FORMAT, type Sent, type TakenOut, type Waiting } from './waiting';

/** What the first pages meant by leaving it out. */
const MEANT: Partial<Record<Sent['kind'], object>> = {
  mark: { passed: false },
  start: { escaped: false },
  pair: { round: 0 },
};

/** The body as it is sent, whatever page recorded it. */
const bodyOf = (one: Waiting) => (one.format === FORMAT ? one.body : { ...MEANT[one.kind], ...one.body });

/** Somebody was hurt: such a record is never quietly given up. */
export const isUrgent = (one: Waiting) => one.kind === 'incident';

const PATHS = {
  guest: '/people',
  attend: '/attendance',
  practise: '/practice',
  mark: '/marks',
  tally: '/tallies',
  start: '/starts',
  incident: '/incidents',
} as const;

/** Where each is taken back. */
const BACK = {
  leave: '/attendance',
  withdraw: '/practice',
  untally: '/tallies',
  unstart: '/starts',
  unround: '/rounds',
} as const;

/** Whether it takes something back. */
const isBack = (one: Waiting): one is Waiting & { kind: keyof typeof BACK } => one.kind in BACK;

/** The id under which others need this record; taking something back is needed by nobody. */
/** By which others need it; nothing needs an answer. */
const idOf = (one: Waiting) => (isBack(one) || one.kind === 'answer' ? '' : one.body.id);

export type Send = (method: Write, path: string, body?: unknown) => Promise<unknown>;

/** How long to wait before the next try: twice as long each time up to the most, and never in step with other devices. */
const PAUSE = 2000;
const LONGEST_PAUSE = 20_000;

/** A server that is not reached may be back at any moment. */
const LONGEST_OFFLINE = 6000;

export const pauseAfter = (failures: number, longest: number) =>
  Math.min(longest, PAUSE * 2 ** Math.min(failures, 8)) * (0.5 + Math.random());

/** So often, over so long, the server may break on one record while it is well otherwise; then the rest go on. */
const MOST_BROKEN = 10;
const LEAST_BROKEN_MS = 120_000;

/** What is sent later than this says when it was recorded; before, the server's clock is the better one. */
const LATE = 2_000;

const MOST_OUT = 100;

/**
 * Everything that is recorded at the mat goes through here: it is kept in this browser first, then sent in order, once,
 * and only under the account that recorded it. What is refused is set aside with its reason and with what needs it.
 */
export class Outbox {
  private line: Waiting[] = [];
  private out: TakenOut[] = [];
  /** Under whom it is sent; null while nobody is signed in. */
  private account: string | null = null;
  /** Under whom it is recorded: a sign-in that has run out does not make a record nobody's. */
  private who = '';
  private sending: Promise<void> | null = null;
  private again = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly listeners = new Set<() => void>();
  private readonly others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('outbox');
  private failures = 0;
  private hasStarted = false;
  /** Whether the last try found the server. */
  reached = true;

  constructor(
    private readonly db: Promise<Database>,
    private readonly send: Send,
    /** Told of each record that was taken, while it still stands in the line. */
    private readonly taken: (one: Waiting) => void,
    /** Told of all that were taken when nothing more can be sent for now. */
    private readonly rested: (taken: Waiting[]) => void = () => {},
    /** Whether the server says that it is well. */
    private readonly isWell: () => Promise<boolean> = () => Promise.resolve(true),
  ) {
    this.others?.addEventListener('message', () => this.load());
  }

  /** What waits, the oldest first, what is set aside among it. */
  all = (): Waiting[] => this.line;

  /** Whom this device took out of a class lately, so that it is noticed when another one had checked them in. */
  takenOut = (): TakenOut[] => this.out;

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  };

  private next = () => this.line.find((w) => w.account === this.account && w.aside === undefined);

  /** Begins to send what this account has recorded; null: nobody is signed in, so nothing is sent. */
  async signedInAs(account: string | null): Promise<void> {
    this.account = account;
    this.who = account ?? this.who;
    await this.load();
    if (account && !this.hasStarted) {
      this.hasStarted = true;
      await this.urgentOnceMore();
    }
    await this.flush();
  }

  /** At each start what is urgent and was set aside is tried again. */
  private async urgentOnceMore(): Promise<void> {
    for (const one of this.line.filter((w) => isUrgent(w) && w.aside !== undefined))
      await (await this.db).put('waiting', { ...one, aside: undefined, failed: undefined });
    await this.load();
  }

  /** Keeps a record; it is safe in this browser when the promise is fulfilled, and sent as soon as may be. */
  async record(sent: Sent, says: string, needs?: string): Promise<void> {
    const one: Waiting = {
      ...sent,
      account: this.who,
      says,
      at: new Date().toISOString(),
      format: FORMAT,
      ...(needs ? { needs } : {}),
    };
    await (await this.db).add('waiting', one);
    if (one.kind === 'leave') await this.keepOut([...this.out, { ...one.body, at: one.at }]);
    if (one.kind === 'attend') await this.forgetOut(one.body.student, one.body.classId);
    await this.changed();
    void this.flush();
  }

  /** Leaves it at what the class says of somebody who was taken out here. */
  async forgetOut(student: string, classId: string): Promise<void> {
    await this.keepOut(this.out.filter((o) => o.student !== student || o.classId !== classId));
    await this.changed();
  }

  private async keepOut(out: TakenOut[]): Promise<void> {
    await (await this.db).put('known', out.slice(-MOST_OUT), 'takenOut');
  }

  /** Forgets what the server said, when somebody else comes; what waits to be sent stays. */
  async forgetRead(): Promise<void> {
    await (await this.db).delete('known', 'queries');
  }

  /** Lets go of one that was set aside. */
  async drop(place: number): Promise<void> {
    await (await this.db).delete('waiting', place);
    await this.changed();
  }

  /** Takes back what waits: nobody is told of it, nor of what needs it. */
  async withdraw(place: number): Promise<void> {
    await this.sending?.catch(() => {}); // what is on its way has arrived or waits again
    const one = this.line.find((w) => w.place === place);
    if (!one) return;
    for (const w of this.line.filter((w) => w === one || (w.needs && w.needs === idOf(one))))
      await (await this.db).delete('waiting', w.place as number);
    await this.changed();
  }

  /** Sends one that was set aside, and what needs it, once more. */
  async retry(place: number): Promise<void> {
    const one = this.line.find((w) => w.place === place);
    if (!one) return;
    for (const w of this.line.filter((w) => w.place === place || (w.needs && w.needs === idOf(one))))
      await (await this.db).put('waiting', { ...w, aside: undefined, failed: undefined });
    await this.changed();
    await this.flush();
  }

  /** Sends what waits, unless that is being done already, here or in another window. */
  flush(): Promise<void> {
    if (this.sending) {
      this.again = true;
      return this.sending;
    }
    clearTimeout(this.timer);
    const sending = this.alone(async () => {
      do {
        this.again = false;
        const taken: Waiting[] = [];
        await this.sendAll(taken).finally(() => taken.length > 0 && this.rested(taken));
      } while (this.again);
    }).finally(() => {
      this.sending = null;
    });
    this.sending = sending;
    return sending;
  }

  /** Of all windows of this browser one sends at a time. */
  private async alone(run: () => Promise<void>): Promise<void> {
    if (globalThis.navigator?.locks) await navigator.locks.request('outbox', run);
    else await run();
  }

  private async sendAll(taken: Waiting[]): Promise<void> {
    await this.load();
    for (;;) {
      const one = this.next();
      if (!one) return;
      const refused = this.line.find((w) => w.aside !== undefined && one.needs && idOf(w) === one.needs);
      if (refused) {
        await this.setAside(one, needing(refused));
        continue;
      }
      try {
        await this.sendOne(one);
        this.reached = true;
        this.failures = 0;
      } catch (error) {
        const problem = error as Problem;
        if (!(problem instanceof Problem) || problem.status === 401 || isPassing(problem)) {
          if (await this.breaksTheServer(one, problem)) continue;
          this.reached = problem.status === 401;
          const isThere = problem instanceof Problem && problem.status > 0;
          const longest = isThere ? LONGEST_PAUSE : LONGEST_OFFLINE;
          this.timer = setTimeout(() => this.flush(), pauseAfter(this.failures++, longest));
          this.tell();
          return;
        }
        await this.setAside(one, problem.message);
        continue;
      }
      taken.push(one);
      this.taken(one);
      await (await this.db).delete('waiting', one.place as number);
      await this.changed();
    }
  }

  /** Whether it is this record that the server breaks on, again and again while it is well: then it is set aside. */
  private async breaksTheServer(one: Waiting, problem: Problem): Promise<boolean> {
    if (!(problem instanceof Problem) || problem.status < 500) return false;
    const failed = { times: (one.failed?.times ?? 0) + 1, since: one.failed?.since ?? Date.now() };
    const isOften = failed.times >= MOST_BROKEN && Date.now() - failed.since >= LEAST_BROKEN_MS;
    if (isOften && (await this.isWell().catch(() => false))) {
      await this.setAside(one, 'The server could not deal with it. It is kept here; tell the head coach.');
      this.failures = 0;
      return true;
    }
    await (await this.db).put('waiting', { ...one, failed });
    await this.load();
    return false;
  }

  private async sendOne(one: Waiting): Promise<void> {
    if (isBack(one)) {
      const path = BACK[one.kind];
      await this.send('DELETE', `${path}/${one.body.id}`).catch((error) => {
        // Already gone, or another device's check-in was first and this one was never kept.
        if (!(error instanceof Problem && error.status === 404)) throw error;
      });
    } else if (one.kind === 'pair') {
      await this.send('PUT', `/pairings/${one.body.id}`, bodyOf(one)); // the last change wins
    } else if (one.kind === 'round') {
      await this.sendWhen(one, 'PUT', `/rounds/${one.body.id}`, { ...one.body, events: [] }); // the later one stands
    } else if (one.kind === 'answer') {
      const { student, ...said } = one.body;
      await this.send('POST', `/people/${student}/guest`, said);
    } else if (one.kind === 'incident') {
      await this.send('POST', PATHS.incident, { incident: one.body });
    } else {
      const path = PATHS[one.kind];
      if (one.kind === 'guest') await this.send('POST', path, bodyOf(one));
      else await this.sendWhen(one, 'POST', path, bodyOf(one));
    }
  }

  /** Sends a record; what is sent late says when it was made. */
  private async sendWhen(one: Waiting, method: Write, path: string, body: object): Promise<void> {
    if (Date.now() - Date.parse(one.at) <= LATE) {
      await this.send(method, path, body);
      return;
    }
    await this.send(method, path, { ...body, at: one.at }).catch((error) => {
      // This device's clock goes ahead: the server's says when it came.
      if (!(error instanceof Problem && error.code === 'NOT_YET')) throw error;
      return this.send(method, path, body);
    });
  }

  private async setAside(one: Waiting, reason: string): Promise<void> {
    await (await this.db).put('waiting', { ...one, aside: reason });
    await this.changed();
  }

  private async changed(): Promise<void> {
    await this.load();
    this.others?.postMessage('changed');
  }

  private async load(): Promise<void> {
    const db = await this.db;
    this.line = await db.getAll('waiting');
    this.out = ((await db.get('known', 'takenOut')) as TakenOut[] | undefined) ?? [];
    this.tell();
  }

  private tell() {
    for (const listener of this.listeners) listener();
  }
}

const needing = (refused: Waiting) => `It needs “${refused.says}”, which was not taken.`;

/** The server is not there, or not well, or knows this page by another token; nothing is wrong with the record. */
const isPassing = ({ status, code }: Problem) =>
  status === 0 || status === 429 || status >= 500 || code === 'CSRF';

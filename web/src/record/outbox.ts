import { Problem } from '../api/client';
import type { Attendance, Incident, Mark, Pairing, PracticeEntry, Start, Student, Tally } from '../api/types';
import type { Database } from './kept';
import type { TakenOut } from './overlay';

/** What is sent for somebody's name and place in a class; the client makes its id, so that it is kept once. */
export type Sent =
  | { kind: 'guest'; body: Pick<Student, 'id' | 'name' | 'joined' | 'guest'> }
  | { kind: 'attend'; body: Pick<Attendance, 'id' | 'student' | 'classId' | 'how'> }
  | { kind: 'leave'; body: { id: string; student: string; classId: string } }
  | { kind: 'practise'; body: Partial<PracticeEntry> & { id: string; classId: string } }
  | { kind: 'withdraw'; body: { id: string; classId: string } }
  | { kind: 'tally'; body: Pick<Tally, 'id' | 'classId' | 'technique' | 'fault'> }
  | { kind: 'untally'; body: { id: string; classId: string } }
  | { kind: 'start'; body: Pick<Start, 'id' | 'classId' | 'blockId' | 'position' | 'escaped'> }
  | { kind: 'unstart'; body: { id: string; classId: string } }
  | { kind: 'pair'; body: Pick<Pairing, 'id' | 'classId' | 'block' | 'round' | 'groups'> }
  | {
      kind: 'incident';
      body: Pick<Incident, 'id' | 'student' | 'classId' | 'kind' | 'on' | 'time' | 'partner'>;
    }
  | { kind: 'mark'; body: Partial<Mark> & { id: string; student: string } };

/**
 * One record on its way.
 *
 * `place`: where it stands in the line; `needs`: the record that must have been taken before it; `at`: when it was recorded;
 * `aside`: why it is not sent any more, in the server's words.
 */
export type Waiting = Sent & {
  place?: number;
  account: string;
  says: string;
  at: string;
  needs?: string;
  aside?: string;
};

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
} as const;

/** Whether it takes something back. */
const isBack = (one: Waiting): one is Waiting & { kind: keyof typeof BACK } => one.kind in BACK;

/** The id under which others need this record; taking something back is needed by nobody. */
const idOf = (one: Waiting) => (isBack(one) ? '' : one.body.id);

export type Send = (method: string, path: string, body?: unknown) => Promise<unknown>;

/** How long to wait before the next try when the server does not answer. */
const PAUSE = 4000;

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
  /** Whether the last try found the server. */
  reached = true;

  constructor(
    private readonly db: Promise<Database>,
    private readonly send: Send,
    /** Told of each record that was taken, while it still stands in the line. */
    private readonly taken: (one: Waiting) => void,
    /** Told of all that were taken when nothing more can be sent for now. */
    private readonly rested: (taken: Waiting[]) => void = () => {},
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
    await this.flush();
  }

  /** Keeps a record; it is safe in this browser when the promise is fulfilled, and sent as soon as may be. */
  async record(sent: Sent, says: string, needs?: string): Promise<void> {
    const one: Waiting = {
      ...sent,
      account: this.who,
      says,
      at: new Date().toISOString(),
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

  /** Sends one that was set aside, and what needs it, once more. */
  async retry(place: number): Promise<void> {
    const one = this.line.find((w) => w.place === place);
    if (!one) return;
    for (const w of this.line.filter((w) => w.place === place || (w.needs && w.needs === idOf(one))))
      await (await this.db).put('waiting', { ...w, aside: undefined });
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
      } catch (error) {
        const problem = error as Problem;
        if (!(problem instanceof Problem) || problem.status === 401 || isPassing(problem)) {
          this.reached = problem.status === 401;
          this.timer = setTimeout(() => this.flush(), PAUSE);
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

  private async sendOne(one: Waiting): Promise<void> {
    if (isBack(one)) {
      const path = BACK[one.kind];
      await this.send('DELETE', `${path}/${one.body.id}`).catch((error) => {
        // Already gone, or another device's check-in was first and this one was never kept.
        if (!(error instanceof Problem && error.status === 404)) throw error;
      });
    } else if (one.kind === 'pair') {
      await this.send('PUT', `/pairings/${one.body.id}`, one.body); // whoever changed them last is right
    } else if (one.kind === 'incident') {
      await this.send('POST', PATHS.incident, { incident: one.body });
    } else {
      const isLate = one.kind !== 'guest' && Date.now() - Date.parse(one.at) > LATE;
      const path = PATHS[one.kind];
      if (!isLate) await this.send('POST', path, one.body);
      else
        await this.send('POST', path, { ...one.body, at: one.at }).catch((error) => {
          // This device's clock goes ahead: the server's says when it came.
          if (!(error instanceof Problem && error.code === 'NOT_YET')) throw error;
          return this.send('POST', path, one.body);
        });
    }
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

import { nth } from '../ui/lists';
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { openKept } from './kept';
import { Outbox, pauseAfter } from './outbox';
import type { Sent, Waiting } from './waiting';

let name = 0;
let answer: (id: string) => unknown = () => undefined;
let asked: string[] = [];
let sent: unknown[] = [];
let taken: Waiting[] = [];

const send = async (method: string, path: string, body?: unknown) => {
  sent.push(body);
  asked.push(`${method} ${path} ${(body as { id?: string })?.id ?? ''}`.trim());
  return answer((body as { id?: string })?.id ?? '');
};
const refuse =
  (status: number, said: string, only?: string, code = 'X') =>
  (id: string) => {
    if (!only || id === only) throw new Problem(status, code, said);
  };
const fine = () => undefined;
/** What a box of another test still waits to send reaches nobody. */
const ofThisTest = (): typeof send => {
  const mine = name;
  return (...all) => (mine === name ? send(...all) : Promise.reject(new Problem(0, 'OFFLINE', 'over')));
};
const open = (db = `kept-${name}`) => new Outbox(openKept(db), ofThisTest(), (one) => taken.push(one));
const attend = (id: string): Sent => ({
  kind: 'attend',
  body: { id, student: 'ana', classId: 'c', how: 'NAME' },
});
const mark = (id: string, withdraws?: string): Sent => ({
  kind: 'mark',
  body: { id, student: 'ana', withdraws },
});
const leave = (id: string): Sent => ({ kind: 'leave', body: { id, student: 'ana', classId: 'c' } });

beforeEach(() => {
  name++;
  answer = fine;
  asked = [];
  taken = [];
});

describe('the outbox', () => {
  it('sends in order, once, and forgets what was taken', async () => {
    const box = open();
    await box.signedInAs('coach');
    await box.record(attend('a1'), 'Ana is here');
    await box.record(mark('m1'), 'Ana: pass');
    await box.flush();
    expect(asked).toEqual(['POST /attendance a1', 'POST /marks m1']);
    expect(taken.map((one) => one.says)).toEqual(['Ana is here', 'Ana: pass']);
    expect(box.all()).toEqual([]);
  });

  it('sends a round to its own place, so that the second tablet corrects the first, and takes it back there', async () => {
    const box = open();
    await box.signedInAs('coach');
    const ended = { how: 'TIME' as const, winner: null, position: null, link: null };
    const body = {
      id: 'r1',
      kind: 'LIVE' as const,
      first: 'ana',
      second: 'bo',
      classId: 'c',
      blockId: null,
      number: 1,
    };
    await box.record({ kind: 'round', body: { ...body, ended, words: null } }, 'Round: time ran out');
    await box.record({ kind: 'unround', body: { id: 'r1', classId: 'c' } }, 'Round taken back', 'r1');
    await box.flush();
    expect(asked).toEqual(['PUT /rounds/r1 r1', 'DELETE /rounds/r1']);
    expect(box.all()).toEqual([]);
  });

  it('takes back what waits, with what needs it, and nobody is told', async () => {
    answer = refuse(0, 'no server');
    const box = open();
    await box.signedInAs('coach');
    await box.record(attend('a1'), 'Ana is here');
    await box.record(leave('a1'), 'Ana is not here', 'a1');
    await box.record(mark('m1'), 'Ana: pass');
    await box.flush();
    const first = nth(box.all(), 0).place as number;
    await box.withdraw(first);
    await box.withdraw(first);
    expect(box.all().map((one) => one.says)).toEqual(['Ana: pass']);
    answer = fine;
    asked = [];
    await box.flush();
    expect(asked).toEqual(['POST /marks m1']);
  });

  it('keeps what it could not send over a reload, and sends it in the old order', async () => {
    answer = refuse(0, 'no server');
    const before = open();
    await before.signedInAs('coach');
    await before.record(attend('a1'), 'one');
    await before.flush();
    await before.record(mark('m1'), 'two');
    await before.flush();
    expect(before.reached).toBe(false);
    answer = fine;
    asked = [];
    const after = open();
    await after.signedInAs('coach');
    expect(asked).toEqual(['POST /attendance a1', 'POST /marks m1']);
    expect(after.all()).toEqual([]);
  });

  it('waits while the server is not well or the sign-in has run out, and loses nothing', async () => {
    for (const status of [0, 401, 429, 500, 503]) {
      answer = refuse(status, 'later');
      const box = open(`passing-${status}`);
      await box.signedInAs('coach');
      await box.record(attend('a1'), 'one');
      await box.flush();
      expect(box.all()).toMatchObject([{ says: 'one' }]);
      expect(nth(box.all(), 0).aside).toBeUndefined();
    }
    answer = refuse(403, 'another token', undefined, 'CSRF');
    const box = open('passing-token');
    await box.signedInAs('coach');
    await box.record(attend('a1'), 'one');
    await box.flush();
    expect(nth(box.all(), 0).aside).toBeUndefined();
  });

  it('sets aside what is refused with what needs it, and sends the rest', async () => {
    answer = refuse(422, 'There is no student ana.', 'm1');
    const box = open();
    await box.signedInAs('coach');
    await box.record(mark('m1'), 'Ana: pass');
    await box.record(mark('m2', 'm1'), 'Ana: pass, taken back', 'm1');
    await box.record(mark('m3'), 'Bo: pass');
    await box.flush();
    expect(asked).toEqual(['POST /marks m1', 'POST /marks m3']);
    expect(box.all().map((one) => one.aside)).toEqual([
      'There is no student ana.',
      'It needs “Ana: pass”, which was not taken.',
    ]);
    answer = fine;
    asked = [];
    await box.retry(nth(box.all(), 0).place as number);
    expect(asked).toEqual(['POST /marks m1', 'POST /marks m2']);
    expect(box.all()).toEqual([]);
  });

  it('sends a guest before what is recorded of them, without a time of their own', async () => {
    answer = refuse(0, 'no server');
    const box = open();
    await box.signedInAs('coach');
    vi.useFakeTimers({ toFake: ['Date'], now: 0 });
    const guest = { id: 's-1', name: 'Jory', joined: '2026-11-24', guest: { fallsKnown: true, age: null } };
    await box.record({ kind: 'guest', body: guest }, 'Jory visits');
    await box.record(attend('a1'), 'Jory is here', 's-1');
    vi.useRealTimers();
    await box.flush();
    asked = [];
    sent = [];
    answer = fine;
    await box.flush();
    expect(asked).toEqual(['POST /people s-1', 'POST /attendance a1']);
    expect(sent[0]).toEqual(guest);
    expect(sent[1]).toHaveProperty('at');
  });

  it('sends what a guest answered after the guest', async () => {
    answer = refuse(0, 'no server');
    const box = open();
    await box.signedInAs('coach');
    const guest = { id: 's-1', name: 'Jory', joined: '2026-11-24', guest: { fallsKnown: true, age: null } };
    await box.record({ kind: 'guest', body: guest }, 'Jory visits');
    await box.record({ kind: 'answer', body: { student: 's-1', age: 12 } }, 'Jory: 12 years old', 's-1');
    await box.flush();
    asked = [];
    sent = [];
    answer = fine;
    await box.flush();
    expect(asked.map((one) => one.replace(/ undefined$/, ''))).toEqual([
      'POST /people s-1',
      'POST /people/s-1/guest',
    ]);
    expect(sent[1]).toEqual({ age: 12 });
  });

  it('lets go of what was set aside when told to', async () => {
    answer = refuse(409, 'Something else was already recorded.');
    const box = open();
    await box.signedInAs('coach');
    await box.record(mark('m1'), 'one');
    await box.flush();
    await box.drop(nth(box.all(), 0).place as number);
    expect(box.all()).toEqual([]);
  });

  it('sends only under the account that recorded it', async () => {
    answer = refuse(0, 'no server');
    const box = open();
    await box.signedInAs('coach');
    await box.record(attend('a1'), 'one');
    await box.flush();
    answer = fine;
    asked = [];
    await box.signedInAs('head');
    expect(asked).toEqual([]);
    await box.signedInAs('coach');
    expect(asked).toEqual(['POST /attendance a1']);
  });

  it('tells what was taken even when what comes after is refused or the server goes', async () => {
    for (const status of [422, 0]) {
      const rested: string[][] = [];
      answer = refuse(status, 'no', 'm2');
      const box = new Outbox(openKept(`rested-${status}`), ofThisTest(), fine, (all) =>
        rested.push(all.map((one) => one.says)),
      );
      await box.record(mark('m1'), 'one');
      await box.record(mark('m2'), 'two');
      await box.signedInAs('');
      expect(rested, `then ${status}`).toEqual([['one']]);
    }
  });

  it('records under whom was signed in while the sign-in has run out', async () => {
    const box = open();
    await box.signedInAs('coach');
    await box.signedInAs(null);
    await box.record(attend('a1'), 'one');
    await box.flush();
    expect(box.all()).toMatchObject([{ account: 'coach' }]);
    await box.signedInAs('coach');
    expect(asked).toEqual(['POST /attendance a1']);
  });

  it('takes a check-in that is gone already as taken back', async () => {
    answer = refuse(404, 'There is none.');
    const box = open();
    await box.signedInAs('coach');
    await box.record(leave('a1'), 'Ana is not here');
    await box.flush();
    expect(box.all()).toEqual([]);
    expect(box.takenOut()).toMatchObject([{ student: 'ana', classId: 'c', id: 'a1' }]);
    await box.record(attend('a2'), 'Ana is here');
    expect(box.takenOut()).toEqual([]);
  });

  it('says when it was recorded only if it comes late', async () => {
    const bodies: { at?: string }[] = [];
    let isThere = true;
    let goesAhead = false;
    const made = async (_method: string, _path: string, body?: unknown) => {
      if (!isThere) throw new Problem(0, 'OFFLINE', 'no server');
      bodies.push(body as { at?: string });
      if (goesAhead && (body as { at?: string }).at) throw new Problem(422, 'NOT_YET', 'not yet', '/at');
    };
    const box = new Outbox(openKept(`late-${name}`), made, () => {});
    await box.signedInAs('coach');
    await box.record(attend('a1'), 'one');
    await box.flush();
    isThere = false;
    await box.record(attend('a2'), 'two');
    await box.flush();
    const at = nth(box.all(), 0).at;
    const now = vi.spyOn(Date, 'now').mockReturnValue(Date.parse(at) + 60_000);
    isThere = true;
    await box.flush();
    expect(bodies.map((body) => body.at)).toEqual([undefined, at]);
    isThere = false;
    await box.record(attend('a3'), 'by a clock that goes ahead');
    await box.flush();
    isThere = true;
    goesAhead = true;
    now.mockReturnValue(Date.parse(nth(box.all(), 0).at) + 60_000);
    await box.flush();
    now.mockRestore();
    expect(bodies.slice(2).map((body) => Boolean(body.at))).toEqual([true, false]);
    expect(box.all()).toEqual([]);
  });

  /** Ten answers of 500 over two minutes, while the server is well. */
  const broken = async (box: Outbox, times: number, apart: number) => {
    const from = nth(box.all(), 0).failed?.since ?? Date.now();
    const now = vi.spyOn(Date, 'now');
    for (let n = 0; n < times; n++) {
      now.mockReturnValue(from + n * apart);
      await box.flush();
    }
    now.mockRestore();
  };

  it('sets a record aside on which the server breaks, with what needs it, and goes on with the rest', async () => {
    answer = refuse(500, 'broken', 'a1');
    const box = open();
    await box.signedInAs('coach');
    await box.record(attend('a1'), 'Ana is here');
    await box.record(mark('m1'), 'Ana: pass', 'a1');
    await box.record(attend('a2'), 'Bo is here');
    await box.flush();
    asked = [];
    await broken(box, 4, 15_000);
    expect(box.all(), 'the line waits').toHaveLength(3);
    await broken(box, 12, 15_000);
    expect(asked.filter((one) => one.endsWith('a2'))).toEqual(['POST /attendance a2']);
    expect(box.all().map((one) => [one.says, one.aside !== undefined])).toEqual([
      ['Ana is here', true],
      ['Ana: pass', true],
    ]);
    answer = fine;
    await box.retry(nth(box.all(), 0).place as number);
    expect(box.all(), 'both are sent again').toEqual([]);
  });

  it('sets nothing aside within two minutes, or while the server is not well', async () => {
    answer = refuse(500, 'broken');
    const quick = open(`quick-${name}`);
    await quick.signedInAs('coach');
    await quick.record(attend('a1'), 'Ana is here');
    await broken(quick, 30, 1000);
    expect(quick.all().map((one) => one.aside)).toEqual([undefined]);
    const ill = new Outbox(openKept(`ill-${name}`), ofThisTest(), fine, fine, async () => false);
    await ill.signedInAs('coach');
    await ill.record(attend('a1'), 'Ana is here');
    await broken(ill, 30, 15_000);
    expect(ill.all().map((one) => one.aside)).toEqual([undefined]);
    answer = refuse(429, 'later');
    const hurried = open(`hurried-${name}`);
    await hurried.signedInAs('coach');
    await hurried.record(attend('a1'), 'Ana is here');
    await broken(hurried, 30, 15_000);
    expect(hurried.all().map((one) => one.aside)).toEqual([undefined]);
  });

  it('sets nothing aside after a few tries that lie far apart', async () => {
    answer = refuse(500, 'broken');
    const box = open();
    await box.signedInAs('coach');
    await box.record(attend('a1'), 'Ana is here');
    await broken(box, 5, 600_000);
    expect(box.all().map((one) => one.aside)).toEqual([undefined]);
  });

  it('takes nothing as taken back while the server breaks on it', async () => {
    answer = refuse(500, 'broken');
    const box = open();
    await box.signedInAs('coach');
    await box.record(leave('a1'), 'Ana is not here');
    await box.flush();
    expect(box.all()).toMatchObject([{ says: 'Ana is not here' }]);
    answer = fine;
    await box.flush();
    expect(box.all()).toEqual([]);
  });

  it('waits longer after each failure, up to a limit, and never in step', () => {
    const random = vi.spyOn(Math, 'random').mockReturnValue(0.5);
    expect([0, 1, 2, 3, 4, 40].map((failures) => pauseAfter(failures, 20_000))).toEqual([
      2000, 4000, 8000, 16_000, 20_000, 20_000,
    ]);
    random.mockReturnValue(0.1);
    expect(pauseAfter(4, 20_000)).toBe(12_000);
    random.mockRestore();
  });

  it('sends an incident that was not taken again at each start, until it is', async () => {
    answer = refuse(422, 'no such person');
    const knock: Sent = {
      kind: 'incident',
      body: {
        id: 'i1',
        student: 'ana',
        classId: 'c',
        kind: 'HEAD_KNOCK',
        on: '2026-11-24',
        time: null,
        partner: null,
      },
    };
    const before = open();
    await before.signedInAs('coach');
    await before.record(knock, 'Ana, head knock');
    await before.record(attend('a1'), 'Ana is here');
    await before.flush();
    expect(before.all().map((one) => one.aside)).toEqual(['no such person', 'no such person']);
    asked = [];
    await before.signedInAs('coach');
    expect(asked, 'a sign-in is no start').toEqual([]);
    answer = fine;
    const after = open();
    await after.signedInAs('coach');
    expect(
      after.all().map((one) => one.says),
      'only what is urgent',
    ).toEqual(['Ana is here']);
  });

  it('sends what a page from before kept as that page meant it', async () => {
    const db = await openKept(`old-${name}`);
    const old = { account: 'coach', says: '', at: new Date().toISOString() };
    await db.add('waiting', { ...old, kind: 'mark', body: { id: 'm1', student: 'ana' } } as Waiting);
    await db.add('waiting', {
      ...old,
      kind: 'start',
      body: { id: 's1', classId: 'c', blockId: 'b', position: 'p' },
    } as unknown as Waiting);
    await db.add('waiting', {
      ...old,
      kind: 'mark',
      body: { id: 'm2', student: 'ana', passed: true },
    } as Waiting);
    sent = [];
    const box = open(`old-${name}`);
    await box.signedInAs('coach');
    expect(sent).toMatchObject([
      { id: 'm1', passed: false },
      { id: 's1', escaped: false },
      { id: 'm2', passed: true },
    ]);
    sent = [];
    await box.record(mark('m3'), 'Ana');
    await box.flush();
    expect(sent, 'a page of today says it itself').toEqual([
      { id: 'm3', student: 'ana', withdraws: undefined },
    ]);
  });
});

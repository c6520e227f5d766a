import { useState } from 'react';
import { newId, send } from '../api/client';
import { useToday } from '../api/mat';
import type { Ladder, OnBank, Promotion } from '../api/types';
import { useChanged } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { count } from '../ui/words';

/** Whether a rank can be given without a reason. */
export const isReady = (one: OnBank) => one.verdict === 'ELIGIBLE' || one.verdict === 'CANDIDATE';

/** What is decided on the board: each in one touch, each with a way back. */
export function useDecide(ladder: Ladder, window: string) {
  const [sending, setSending] = useState(false);
  const today = useToday();
  const say = useNotices();
  const changed = useChanged();
  const attempt = async (work: () => Promise<unknown>, done: string, undo?: () => Promise<unknown>) => {
    setSending(true);
    try {
      await work();
      await changed('nomination', 'promotion');
      say.done(
        done,
        undo &&
          (() =>
            undo()
              .then(() => changed('nomination', 'promotion'))
              .catch(say.failed)),
      );
      return true;
    } catch (error) {
      await changed('nomination', 'promotion');
      say.failed(error);
      return false;
    } finally {
      setSending(false);
    }
  };
  const nameOf = (rank: string | null) => ladder.ranks.find((one) => one.id === rank)?.name ?? '';
  const give = (one: OnBank, to: string, stripes: number, date: string, reason: string, done: string) => {
    const id = newId('pr');
    const body: Partial<Promotion> = {
      id,
      student: one.flag.student,
      ladder: ladder.id,
      from: one.flag.rank,
      to,
      stripes,
      date,
      reason,
      figures: [],
    };
    return attempt(
      () => send('POST', '/promotions', body),
      done,
      () => send('DELETE', `/promotions/${id}`),
    );
  };
  return {
    sending,
    putForward: (one: OnBank) => {
      const id = newId('n');
      const body = {
        id,
        student: one.flag.student,
        ladder: ladder.id,
        rank: one.flag.rank,
        window,
        note: '',
      };
      return attempt(
        () => send('POST', '/nominations', body),
        `${one.calledBy} is put forward.`,
        () => send('DELETE', `/nominations/${id}`),
      );
    },
    takeBack: (one: OnBank) =>
      attempt(
        () => send('DELETE', `/nominations/${one.nomination?.id}`),
        `${one.calledBy} is put forward no more.`,
      ),
    hold: (one: OnBank, body: { reason: string; reviewOn: string | null }) =>
      attempt(
        () => send('POST', `/people/${one.flag.student}/holds`, body),
        `${one.calledBy} is held back.`,
        () => send('POST', `/people/${one.flag.student}/holds/lift`),
      ),
    lift: (one: OnBank) =>
      attempt(
        () => send('POST', `/people/${one.flag.student}/holds/lift`),
        `${one.calledBy} is held back no more.`,
      ),
    promote: (one: OnBank, day: string, reason = '') =>
      give(
        one,
        one.nextRank ?? '',
        0,
        day,
        reason,
        `${one.calledBy} is promoted to ${nameOf(one.nextRank)}.`,
      ),
    stripe: (one: OnBank) =>
      give(one, one.flag.rank, one.stripes + 1, today, '', `${one.calledBy}: stripe ${one.stripes + 1}.`),
    stripes: (all: OnBank[]) => {
      const given = all.map((one) => ({ id: newId('pr'), student: one.flag.student }));
      return attempt(
        () => send('POST', '/promotions/stripes', { ladder: ladder.id, date: today, given }),
        `${count(all.length, 'stripe is', 'stripes are')} given.`,
        async () => {
          for (const { id } of given) await send('DELETE', `/promotions/${id}`);
        },
      );
    },
    unpromote: (given: Promotion, name: string) =>
      attempt(() => send('DELETE', `/promotions/${given.id}`), `${name}: taken back.`),
    announce: (ids: string[]) =>
      attempt(
        () => send('POST', '/promotions/announce', { ids }),
        `${count(ids.length, 'promotion is', 'promotions are')} announced.`,
      ),
  };
}

export type Decide = ReturnType<typeof useDecide>;

import { expect, it } from 'vitest';
import { read, send } from './client';
import type { Answer } from './paths';
import type { Mark, Student, Tracks } from './types';

/** Whether two types are one; held by the compiler, which reads this file at each build. */
type Same<A, B> = (<T>() => T extends A ? 1 : 2) extends <T>() => T extends B ? 1 : 2 ? true : false;

it('knows what is answered by the address alone', () => {
  const same: [
    Same<Answer<'/tracks'>, Tracks>,
    Same<Answer<`/people/${string}`>, Student>,
    Same<Answer<`/people/${string}?with=${string}`>, Student>,
    Same<Answer<'/marks', 'post'>, Mark>,
    Same<Answer<'/no/such/address'>, unknown>,
  ] = [true, true, true, true, true];
  // @ts-expect-error the tracks are no student
  const wrong = (): Promise<Student> => read('/tracks');
  // @ts-expect-error nothing is known of an address that is not in the document
  const unknown = async (): Promise<Mark> => send('POST', '/no/such/address', {});
  expect(same).toHaveLength(5);
  expect([wrong, unknown]).toHaveLength(2);
});

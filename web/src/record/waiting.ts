import type {
  Attendance,
  Incident,
  Mark,
  Pairing,
  PracticeEntry,
  Round,
  Start,
  Student,
  Tally,
} from '../api/types';

/** What is sent for somebody's name and place in a class; the client makes its id, so that it is kept once. */
export type Sent =
  | {
      kind: 'guest';
      body: Pick<Student, 'id' | 'name' | 'joined' | 'guest'> & Partial<Pick<Student, 'contacts'>>;
    }
  | { kind: 'answer'; body: { student: string; age?: number; fallsKnown?: boolean; number?: string } }
  | { kind: 'attend'; body: Pick<Attendance, 'id' | 'student' | 'classId' | 'how'> }
  | { kind: 'leave'; body: { id: string; student: string; classId: string } }
  | { kind: 'practise'; body: Partial<PracticeEntry> & { id: string; classId: string } }
  | { kind: 'withdraw'; body: { id: string; classId: string } }
  | { kind: 'tally'; body: Pick<Tally, 'id' | 'classId' | 'technique' | 'fault'> }
  | { kind: 'untally'; body: { id: string; classId: string } }
  | { kind: 'start'; body: Pick<Start, 'id' | 'classId' | 'blockId' | 'position' | 'escaped'> }
  | { kind: 'unstart'; body: { id: string; classId: string } }
  | {
      kind: 'round';
      body: Pick<
        Round,
        'id' | 'kind' | 'first' | 'second' | 'classId' | 'blockId' | 'number' | 'ended' | 'words'
      >;
    }
  | { kind: 'unround'; body: { id: string; classId: string | null } }
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
 * `aside`: why it is not sent any more, in the server's words; `failed`: how often the server broke on it, and since when;
 * `format`: by which rules its body was written, nothing: those of the first pages.
 */
export type Waiting = Sent & {
  place?: number;
  account: string;
  says: string;
  at: string;
  needs?: string;
  aside?: string;
  failed?: { times: number; since: number };
  format?: typeof FORMAT;
};

/** Since this format a body says every yes and no and every number that the server asks for. */
export const FORMAT = 2;

/** Somebody whom this device took out, and the id of the check-in that it meant. */
export type TakenOut = { student: string; classId: string; id: string; at: string };

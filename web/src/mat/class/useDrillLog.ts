import { newId } from '../../api/client';
import type { Block, ClassSheet, PracticeEntry } from '../../api/types';
import { useRecord } from '../../record/Recording';
import { nth } from '../../ui/lists';
import { useNotices } from '../../ui/Notices';
import { count } from '../../ui/words';

/** How somebody did otherwise than the rest. */
export type Exception = 'OUT' | 'TWICE' | 'RIGHT' | 'LEFT' | 'RECEIVED';

export const EXCEPTIONS: Record<Exception, string> = {
  OUT: 'Sat out',
  TWICE: 'Twice as many',
  RIGHT: 'Right only',
  LEFT: 'Left only',
  RECEIVED: 'Received only',
};

export type Exceptions = Readonly<Record<string, Exception>>;

/** What was drilled in a block: a technique or a chain, as often as was planned. */
export const isDrilled = (block: Block) =>
  block.dose !== null && block.dose.reps > 0 && Boolean(block.technique || block.chain);

/** How a block was logged for everybody; undefined while it is not. */
export const loggedOf = (sheet: ClassSheet, block: Block) =>
  sheet.practice.find((one) => one.blockId === block.id && !one.student && !one.withdrawn);

/** What a block says was done by everybody, and by those who did otherwise. */
function entriesOf(sheet: ClassSheet, block: Block, otherwise: Exceptions) {
  const dose = block.dose as NonNullable<Block['dose']>;
  const base = {
    classId: sheet.training.id,
    blockId: block.id,
    technique: block.technique,
    chain: block.technique ? null : block.chain,
    side: dose.sides,
    reps: dose.reps,
    part: block.kind === 'PART_DRILL',
    role: 'PERFORMER' as const,
    except: [] as string[],
    withdrawn: false,
  };
  const own = (student: string, how: Exception): Partial<PracticeEntry> => ({
    ...base,
    student,
    ...(how === 'TWICE' ? { reps: Math.min(1000, dose.reps * 2) } : {}),
    ...(how === 'RIGHT' || how === 'LEFT' ? { side: how } : {}),
    ...(how === 'RECEIVED' ? { role: 'RECEIVER' as const } : {}),
  });
  return [
    { ...base, except: Object.keys(otherwise) },
    ...Object.entries(otherwise)
      .filter(([, how]) => how !== 'OUT')
      .map(([student, how]) => own(student, how)),
  ].map((entry) => ({ ...entry, id: newId('p'), classId: base.classId }));
}

/** Logs what was drilled, for everybody who is here but those who did otherwise, and takes it back. */
export function useDrillLog(sheet: ClassSheet) {
  const record = useRecord();
  const say = useNotices();
  const classId = sheet.training.id;
  const withdraw = (id: string, title: string) =>
    record({ kind: 'withdraw', body: { id, classId } }, `${title}, not logged after all`, id).catch(
      say.failed,
    );
  const put = async (block: Block, otherwise: Exceptions) => {
    const entries = entriesOf(sheet, block, otherwise);
    for (const body of entries) await record({ kind: 'practise', body }, `${block.title}, logged`);
    return entries.map((entry) => ({ id: entry.id, title: block.title }));
  };
  const log = async (blocks: Block[], otherwise: Exceptions = {}) => {
    try {
      const done: { id: string; title: string }[] = [];
      for (const block of blocks) done.push(...(await put(block, otherwise)));
      say.done(
        blocks.length === 1
          ? `${nth(blocks, 0).title} is logged for everyone here.`
          : `${count(blocks.length, 'block is', 'blocks are')} logged as planned.`,
        () => {
          for (const { id, title } of done) void withdraw(id, title);
        },
      );
    } catch (error) {
      say.failed(error);
    }
  };
  const takeBack = (block: Block) => {
    for (const one of sheet.practice)
      if (one.blockId === block.id && !one.withdrawn) void withdraw(one.id, block.title);
  };
  return { log, takeBack };
}

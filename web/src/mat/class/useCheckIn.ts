import { newId } from '../../api/client';
import type { Attendance, Name, TrainingClass } from '../../api/types';
import { useRecord } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { count } from '../../ui/words';
import type { Elsewhere } from './useBeside';

type There = { id: string; student: string; classId: string };

/** Takes who is here, by name, by card or all at once, and takes it back. */
export function useCheckIn(training: TrainingClass, here: Map<string, Attendance>, people: Name[]) {
  const record = useRecord();
  const say = useNotices();
  const put = async (who: Name, how: Attendance['how']): Promise<There> => {
    const there = { id: newId('a'), student: who.id, classId: training.id };
    await record({ kind: 'attend', body: { ...there, how } }, `${who.calledBy} is here`);
    return there;
  };
  const takeOut = (who: Name, there: There) =>
    record({ kind: 'leave', body: there }, `${who.calledBy} is not here`, there.id).catch(say.failed);
  const checkIn = async (who: Name, how: Attendance['how']) => {
    try {
      const there = await put(who, how);
      say.done(`${who.calledBy} is here.`, () => takeOut(who, there));
    } catch (error) {
      say.failed(error);
    }
  };
  const leave = async (who: Name) => {
    const kept = here.get(who.id);
    if (!kept) return;
    await takeOut(who, { id: kept.id, student: who.id, classId: training.id });
    say.done(`${who.calledBy} is not here.`, () => checkIn(who, 'NAME'));
  };
  /** Somebody of another group of the class comes over to this one. */
  const move = async (who: Name, from?: Elsewhere) => {
    if (!from) return;
    const { attendance, classId, group } = from;
    const was = { id: attendance.id, student: who.id, classId };
    try {
      await takeOut(who, was);
      const there = await put(who, 'NAME');
      say.done(`${who.calledBy} has come over from ${group}.`, async () => {
        await takeOut(who, there);
        const back = { id: newId('a'), student: who.id, classId };
        await record({ kind: 'attend', body: { ...back, how: 'NAME' } }, `${who.calledBy} is in ${group}`);
      });
    } catch (error) {
      say.failed(error);
    }
  };
  const all = async (absent: Name[]) => {
    try {
      const taken: { who: Name; there: There }[] = [];
      for (const who of absent) taken.push({ who, there: await put(who, 'BULK') });
      say.done(`${count(absent.length, 'person is', 'people are')} here.`, () => {
        for (const { who, there } of taken) void takeOut(who, there);
      });
    } catch (error) {
      say.failed(error);
    }
  };
  const onCard = (number: string) => {
    const who = people.find((p) => p.card === number);
    if (!who) say.failed(new Error(`No student carries the card ${number}. Nobody was checked in.`));
    else if (here.has(who.id)) say.done(`${who.calledBy} was here already.`);
    else void checkIn(who, 'CARD');
  };
  return { checkIn, leave, move, all, onCard };
}

import { Button } from '@mantine/core';
import { useState } from 'react';
import { sendEdit } from '../../api/client';
import { useSession } from '../../api/club';
import { useBrought, useUnseenFalls } from '../../api/people';
import type { BroughtSaid, CameWith, Student } from '../../api/types';
import { useChanged, useSayDone } from '../../form/useEdit';
import { useWho } from '../../ui/coaches';
import { nth } from '../../ui/lists';
import { useNotices } from '../../ui/Notices';
import { count, date } from '../../ui/words';
import { FallsToSee } from '../safety/FallsToSee';
import classes from './Brought.module.css';

export type Answer = 'ALL' | 'NOTHING' | 'ASKED';

/** Says of people what they knew already when they came, and how to take all of it back. */
export function useSayBrought() {
  const say = useNotices();
  const changed = useChanged();
  const sayDone = useSayDone();
  const [sending, setSending] = useState(false);
  const send = async (work: () => Promise<{ edit: string | null; done: string }>) => {
    setSending(true);
    try {
      const { edit, done } = await work();
      await changed('brought');
      sayDone(done, edit);
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  const tell = (who: { id: string; calledBy: string }[], answer: Answer) =>
    send(async () => {
      const body = { students: who.map((one) => one.id), answer };
      const { value, edit } = await sendEdit('POST', '/people/brought', body);
      return { edit, done: told(value, answer, who) };
    });
  const takeBack = (student: Student, came: CameWith) =>
    send(async () => {
      const { edit } = await sendEdit('DELETE', `/people/${student.id}/brought/${came.ladder}`);
      return { edit, done: `Taken back what was said of ${student.calledBy}.` };
    });
  return { tell, takeBack, sending };
}

/** What came of it, as one would say it. */
export function told(kept: BroughtSaid, answer: Answer, who: { calledBy: string }[]): string {
  const whom =
    kept.people === 1 && who.length === 1 ? nth(who, 0).calledBy : count(kept.people, 'person', 'people');
  const has = kept.people === 1 ? 'has' : 'have';
  const done =
    kept.people === 0
      ? 'Nothing was written down.'
      : answer === 'ALL'
        ? `${whom} ${has} all that is asked below their belt.`
        : answer === 'NOTHING'
          ? `${whom} ${has} nothing yet of what is asked below their belt.`
          : `The head coach is asked about ${whom}.`;
  const left = kept.leftOut
    .slice(0, 3)
    .map((one) => `${one.name} ${one.why}`)
    .join('; ');
  const more = kept.leftOut.length - 3;
  return left ? `${done} ${left}${more > 0 ? `; and ${more} more` : ''}.` : done;
}

/** On a student's page: what is asked below the belt they came with, whether they have it, and their falls. */
export function Brought({ student }: { student: Student }) {
  const came = useBrought(student.id);
  const unseen = useUnseenFalls({ student: student.id });
  const isHead = useSession().data?.role === 'HEAD';
  const falls = unseen.data?.[0];
  const open = came.data ?? [];
  if (open.length === 0 && !falls) return null;
  return (
    <section aria-label="From before" className={classes.box}>
      {open.map((one) => (
        <Came key={one.ladder} student={student} came={one} isHead={isHead} />
      ))}
      {falls && <FallsToSee unseen={[falls]} isAlone />}
    </section>
  );
}

function Came({ student, came, isHead }: { student: Student; came: CameWith; isHead: boolean }) {
  const { tell, takeBack, sending } = useSayBrought();
  const rank = came.rankName.toLowerCase();
  const { said } = came;
  const who = useWho();
  const by = said && [who(said.by), date(said.on)].filter(Boolean).join(', ');
  const press = (answer: Answer, word: string, isMain = false) => (
    <Button
      size="compact-md"
      variant={isMain ? 'filled' : 'default'}
      loading={sending}
      onClick={() => tell([student], answer)}
    >
      {word}
    </Button>
  );
  if (said && said.answer !== 'ASKED')
    return (
      <p>
        {said.answer === 'ALL'
          ? `From before: ${count(came.things, 'thing', 'things')} asked below ${rank}. They count, and fade until they are trained here.`
          : `Came with ${rank}; nothing below it is taken for granted.`}{' '}
        <span className="quiet">{by}</span>{' '}
        {isHead && (
          <Button
            variant="subtle"
            size="compact-sm"
            loading={sending}
            onClick={() => takeBack(student, came)}
          >
            Take back
          </Button>
        )}
      </p>
    );
  return (
    <>
      <h2>
        {student.calledBy} came with {rank}
      </h2>
      <p>
        {count(came.asked, 'thing is', 'things are')} asked below it.{' '}
        {said && <span className="quiet">{by}: asks you to say. </span>}
        {isHead
          ? 'Do they have all of it?'
          : said
            ? 'The head coach says whether they have it.'
            : 'Until the head coach says so, none of it counts.'}
      </p>
      <div className={classes.acts}>
        {isHead && press('ALL', 'They have all of it', true)}
        {isHead && press('NOTHING', 'Nothing yet')}
        {!isHead && !said && press('ASKED', 'Ask the head coach')}
      </div>
    </>
  );
}

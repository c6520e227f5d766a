import { Button, Checkbox, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { send } from '../../api/client';
import { useMentions, usePerson } from '../../api/people';
import type { Erased, Mention, Student } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { useNotices } from '../../ui/Notices';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { count } from '../../ui/words';
import classes from './ErasePage.module.css';

/** One person's data: given out to them, or erased for good. */
export function ErasePage() {
  const { id = '' } = useParams();
  const [erased, setErased] = useState<Erased | null>(null);
  const person = usePerson(erased ? null : id);
  const mentions = useMentions(id, !erased);
  if (erased) return <Report erased={erased} />;
  return (
    <Loaded query={person}>
      {(opened) => (
        <>
          <PageHead title={opened.value.name}>
            <Link to={`/people/${id}`}>Back to the student</Link>
          </PageHead>
          <Loaded query={mentions}>
            {(named) => <Ask student={opened.value} mentions={named} onDone={setErased} />}
          </Loaded>
        </>
      )}
    </Loaded>
  );
}

type AskProps = { student: Student; mentions: Mention[]; onDone: (erased: Erased) => void };

function Ask({ student, mentions, onDone }: AskProps) {
  const [name, setName] = useState('');
  const [fromText, setFromText] = useState(true);
  const [sending, setSending] = useState(false);
  const say = useNotices();
  const client = useQueryClient();
  const erase = async () => {
    setSending(true);
    try {
      const erased = await send('POST', `/people/${student.id}/erase`, { name, fromText });
      client.removeQueries({ queryKey: ['people', student.id] });
      client.invalidateQueries({ queryKey: ['names'] });
      client.invalidateQueries({ queryKey: ['people'], refetchType: 'none' });
      onDone(erased);
    } catch (error) {
      say.failed(error);
      setSending(false);
    }
  };
  return (
    <Scroll label="Their data" className={classes.body}>
      <section>
        <h2>Give it out</h2>
        <p>
          Everything that is kept of {student.calledBy}, as one file for them. Others are in it as numbers.
        </p>
        <Button component="a" href={`/api/people/${student.id}/all`} download variant="default">
          Give out their data
        </Button>
      </section>
      <section>
        <h2>Erase it</h2>
        <p>
          Name, birth date, weight, contacts, notes, limits and holds go, from the records, the history and
          the letters. The classes, marks and rounds they were in are still counted, under a number that says
          nobody. It cannot be undone.
        </p>
        {mentions.length > 0 && (
          <>
            <p>{count(mentions.length, 'place names', 'places name')} them in free text:</p>
            <ul className={classes.mentions}>
              {mentions.map((mention) => (
                <li key={`${mention.kind}${mention.id}`}>
                  <strong>{mention.kind}</strong> {mention.text}
                  {!mention.canGo && <span className="quiet"> (change this by hand)</span>}
                </li>
              ))}
            </ul>
            <Checkbox
              label="Write “Erased person” there instead"
              checked={fromText}
              onChange={(event) => setFromText(event.currentTarget.checked)}
            />
          </>
        )}
        <form
          className={classes.form}
          onSubmit={(event) => {
            event.preventDefault();
            erase();
          }}
        >
          <TextInput
            label={`Write the name to erase it: ${student.name}`}
            autoComplete="off"
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Button type="submit" color="rowan" loading={sending} disabled={name.trim() !== student.name}>
            Erase for good
          </Button>
        </form>
      </section>
    </Scroll>
  );
}

function Report({ erased }: { erased: Erased }) {
  const kept = erased.kept as Record<string, number>;
  return (
    <>
      <PageHead title="Erased">
        <Link to="/people">People</Link>
      </PageHead>
      <Scroll label="What came of it" className={classes.body}>
        <section>
          <h2>Nothing personal is kept any more</h2>
          <p>
            {count(kept.attendance ?? 0, 'class', 'classes')} and {count(kept.mark ?? 0, 'mark', 'marks')} are
            still counted, under a number. The last traces leave the file when Lynchet is stopped next.
          </p>
        </section>
        {erased.copies.length > 0 && (
          <section>
            <h2>Copies that still hold them</h2>
            <p>
              {erased.copies.length === 1 ? 'This copy was' : 'These copies were'} taken before. Delete the
              files in the folder copies beside the data, or wait until newer ones have taken their place;
              copies that were carried elsewhere have to be seen to there.
            </p>
            <ul className={classes.mentions}>
              {erased.copies.map((copy) => (
                <li key={copy}>{copy}</li>
              ))}
            </ul>
          </section>
        )}
        {erased.mentions.length > 0 && (
          <section>
            <h2>Still named in free text</h2>
            <ul className={classes.mentions}>
              {erased.mentions.map((mention) => (
                <li key={`${mention.kind}${mention.id}`}>
                  <strong>{mention.kind}</strong> {mention.text}
                </li>
              ))}
            </ul>
          </section>
        )}
      </Scroll>
    </>
  );
}

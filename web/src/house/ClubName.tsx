import { Button, FileButton, TextInput } from '@mantine/core';
import { useState } from 'react';
import { type Problem, put, send } from '../api/client';
import { useWelcome } from '../api/club';
import { useChanged } from '../form/useEdit';
import { ClubMark } from '../ui/ClubMark';
import { useNotices } from '../ui/Notices';

/** What the club is called, and its badge: both stand on what is printed. */
export function ClubName() {
  const welcome = useWelcome().data;
  const changed = useChanged();
  const say = useNotices();
  const [name, setName] = useState(welcome?.club ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const attempt = async (work: () => Promise<unknown>, done: string) => {
    setProblem(null);
    try {
      await work();
      await changed('club');
      say.done(done);
    } catch (error) {
      setProblem((error as Problem).message);
    }
  };
  return (
    <section aria-label="Name and badge">
      <h2>Name and badge</h2>
      <p className="quiet">They stand on class sheets, slips and everything else that is printed.</p>
      <ClubMark />
      <form
        style={{ display: 'flex', gap: 10, alignItems: 'end', flexWrap: 'wrap', marginTop: 10 }}
        onSubmit={(event) => {
          event.preventDefault();
          void attempt(() => send('PUT', '/club', { name }), `The club is called ${name.trim()}.`);
        }}
      >
        <TextInput
          label="The club’s name"
          maxLength={80}
          w={280}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <Button type="submit" disabled={!name.trim() || name.trim() === welcome?.club}>
          Rename
        </Button>
        <FileButton
          accept="image/png,image/jpeg,image/gif"
          onChange={(file) => file && void attempt(() => put('/club/badge', file), 'The badge is kept.')}
        >
          {(props) => (
            <Button variant="default" {...props}>
              {welcome?.badge ? 'Another badge' : 'Choose a badge'}
            </Button>
          )}
        </FileButton>
        {welcome?.badge && (
          <Button
            variant="subtle"
            onClick={() => attempt(() => send('DELETE', '/club/badge'), 'The club has no badge.')}
          >
            No badge
          </Button>
        )}
      </form>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}

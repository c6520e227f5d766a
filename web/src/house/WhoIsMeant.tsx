import { useState } from 'react';
import { sendEdit } from '../api/client';
import { useCoaches } from '../api/mat';
import { useNames } from '../api/people';
import type { WrittenCoach } from '../api/types';
import { Taking } from '../form/Taking';
import { useChanged, useSayDone } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { count } from '../ui/words';
import classes from './TracksRoom.module.css';

/** Names that were only written down, for the head coach to say once who they are. */
export function WhoIsMeant() {
  const written = useCoaches().data?.written ?? [];
  if (written.length === 0) return null;
  return (
    <section className={classes.track} aria-label="Who is that?">
      <h2>Who is that?</h2>
      <p className="quiet">
        These give classes and are nobody who trains here. Somebody from outside stays as written; of anybody
        else say who it is, and their classes to come bear the name.
      </p>
      <ul className={classes.slots}>
        {written.map((one) => (
          <Written key={one.text} written={one} />
        ))}
      </ul>
    </section>
  );
}

function Written({ written }: { written: WrittenCoach }) {
  const people = useNames().data ?? [];
  const say = useNotices();
  const changed = useChanged();
  const sayDone = useSayDone();
  const [sending, setSending] = useState(false);
  const meant = async (person: string) => {
    setSending(true);
    try {
      const { edit } = await sendEdit('POST', '/coaches/meant', { text: written.text, person });
      await changed('track', 'class', 'plan');
      const name = people.find((one) => one.id === person)?.name;
      sayDone(`${written.text} is ${name}.`, edit);
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  return (
    <li>
      <strong>{written.text}</strong>
      <span className="quiet">{count(written.times, 'time', 'times')}</span>
      <Taking
        aria-label={`Who is ${written.text}?`}
        placeholder="Is …"
        searchable
        limit={40}
        disabled={sending}
        data={people.filter((one) => !one.guest).map((one) => ({ value: one.id, label: one.name }))}
        onTake={meant}
      />
    </li>
  );
}

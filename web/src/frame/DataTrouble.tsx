import { Link } from 'react-router';
import { useWhole } from '../api/whole';
import classes from '../record/WaitingNote.module.css';

/** What keeps the club from being written to stands over every page of the head coach, who can do something about it. */
export function DataTrouble({ isHead }: { isHead: boolean }) {
  const whole = useWhole(isHead);
  if (!whole.data?.damage && !whole.data?.isFull) return null;
  return (
    <div role="alert" className={classes.alert}>
      <p>
        {whole.data.damage ??
          'The disk is full, so nothing new is taken. Free some room on it, for instance by carrying old copies elsewhere; it goes on by itself then.'}
      </p>
      <Link to="/house/copies">Safe keeping</Link>
    </div>
  );
}

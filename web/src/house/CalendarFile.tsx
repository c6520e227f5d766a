import { Button, FileButton } from '@mantine/core';
import { useState } from 'react';
import { Problem, upload } from '../api/client';
import type { DaysFound } from '../api/types';
import { useChanged } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { count, date } from '../ui/words';
import classes from './TracksRoom.module.css';

/** Holidays from a calendar file, looked at before they are kept; and the classes as a file for other calendars. */
export function CalendarFile() {
  const [file, setFile] = useState<File | null>(null);
  const [found, setFound] = useState<DaysFound | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const say = useNotices();
  const changed = useChanged();
  const send = async (chosen: File, keep: boolean) => {
    setBusy(true);
    setProblem(null);
    try {
      return await upload(`/closures/calendar?keep=${keep}`, chosen);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : String(error));
      return null;
    } finally {
      setBusy(false);
    }
  };
  const look = async (chosen: File | null) => {
    setFile(chosen);
    setFound(chosen && (await send(chosen, false)));
  };
  const keep = async () => {
    const kept = file && (await send(file, true));
    if (!kept) return;
    setFound(null);
    await changed('closure');
    say.done(`${count(kept.found.length, 'closure is', 'closures are')} kept.`);
  };
  return (
    <div className={classes.file}>
      <FileButton
        accept=".ics,text/calendar"
        inputProps={{ 'aria-label': 'A calendar file' }}
        onChange={(chosen) => void look(chosen)}
      >
        {(props) => (
          <Button variant="default" loading={busy} {...props}>
            Take holidays from a calendar file
          </Button>
        )}
      </FileButton>
      <a href="/api/calendar.ics" download="lynchet.ics">
        All classes as a calendar file
      </a>
      {problem && (
        <p role="alert" className={classes.refused}>
          {problem}
        </p>
      )}
      {found && (
        <div role="status">
          <h3>
            {found.found.length === 0
              ? 'Nothing new in the file'
              : `${count(found.found.length, 'closure', 'closures')} in the file`}
          </h3>
          <ul>
            {found.found.map((one) => (
              <li key={one.id}>
                <strong>{one.name}</strong> {date(one.from)}
                {one.until !== one.from && ` to ${date(one.until)}`}
              </li>
            ))}
          </ul>
          <p className="quiet">{left(found)}</p>
          {found.found.length > 0 && (
            <Button loading={busy} onClick={() => void keep()}>
              Close these days for everybody
            </Button>
          )}{' '}
          <Button variant="default" onClick={() => setFound(null)}>
            Cancel
          </Button>
        </div>
      )}
    </div>
  );
}

/** What of the file is passed over. */
const left = ({ there, past, timed }: DaysFound) =>
  [
    there > 0 && `${there} closed already`,
    past > 0 && `${past} in the past`,
    timed > 0 &&
      `${count(timed, 'event with a time of day closes', 'events with a time of day close')} nothing`,
  ]
    .filter(Boolean)
    .join(' · ');

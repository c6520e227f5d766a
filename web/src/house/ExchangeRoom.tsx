import { Button, FileButton } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Problem, problemOf, type Said, upload } from '../api/client';
import { useMinds } from '../api/people';
import type { Job } from '../api/types';
import { useNotices } from '../ui/Notices';
import { ArchivePreview } from './ArchivePreview';
import { isArchive, type Looked, likelySheet, type SheetKind } from './exchange';
import classes from './HousePage.module.css';
import { ImportProgress } from './ImportProgress';
import { SheetPreview } from './SheetPreview';

const OUT = [
  { href: '/api/archive', file: 'lynchet-club.json', name: 'The whole club', also: 'one readable file' },
  { href: '/api/archive?part=map', file: 'lynchet-map.json', name: 'The map alone', also: 'the same format' },
  { href: '/api/csv/roster', file: 'lynchet-roster.csv', name: 'Roster', also: 'a sheet, nothing private' },
  { href: '/api/csv/attendance', file: 'lynchet-attendance.csv', name: 'Attendance', also: 'a sheet' },
  { href: '/api/csv/marks', file: 'lynchet-marks.csv', name: 'Marks', also: 'a sheet' },
  {
    href: '/api/archive/map.graphml',
    file: 'lynchet-map.graphml',
    name: 'Map as GraphML',
    also: 'for graph programs',
  },
  { href: '/api/archive/map.dot', file: 'lynchet-map.dot', name: 'Map as DOT', also: 'for Graphviz' },
];

/** The club out and in: a file is looked at before anything is taken from it. */
export function ExchangeRoom() {
  const client = useQueryClient();
  const say = useNotices();
  const came = useMinds().data?.BROUGHT ?? 0;
  const [looked, setLooked] = useState<Looked | null>(null);
  const [refused, setRefused] = useState<{ name: string; problem: Problem } | null>(null);
  const [busy, setBusy] = useState(false);
  const [job, setJob] = useState<string | null>(null);

  const look = async (file: File, sheet: SheetKind | null, dates: string | null) => {
    setBusy(true);
    setRefused(null);
    try {
      if (sheet === null && isArchive(file)) {
        setLooked({
          kind: 'archive',
          file,
          contents: await upload('/archive/check?mode=merge', file),
        });
      } else {
        const kind = sheet ?? (await likelySheet(file));
        const preview = await upload(
          `/csv/${kind as string}/check?${dates ? `dates=${encodeURIComponent(dates)}` : ''}`,
          file,
        );
        setLooked({ kind: 'sheet', file, sheet: kind, preview, dates });
      }
    } catch (error) {
      if (sheet === null) setLooked(null);
      setRefused({ name: file.name, problem: error as Problem });
    } finally {
      setBusy(false);
    }
  };
  const start = async (path: `/imports?${string}` | `/csv/${string}?${string}`, file: File) => {
    setBusy(true);
    try {
      setJob((await upload(path, file)).id);
    } catch (error) {
      setRefused({ name: file.name, problem: error as Problem });
    } finally {
      setBusy(false);
    }
  };
  const ended = async (done: Job) => {
    setJob(null);
    if (done.state === 'DONE') {
      await client.invalidateQueries();
      say.done(`${looked?.file.name ?? 'The file'} is taken in.`);
      setLooked(null);
    } else if (done.state === 'CANCELLED') {
      say.done('Cancelled. Nothing was changed.');
    } else {
      setRefused({ name: looked?.file.name ?? 'The file', problem: problemOf(done.problem as Said) });
    }
  };

  return (
    <>
      <section>
        <h2>Take in</h2>
        <p>
          A club’s file (JSON) or a spreadsheet (CSV). It is looked at first; you see what would change before
          anything does.
        </p>
        <FileButton
          accept=".json,.csv,.txt,application/json,text/csv"
          onChange={(file) => file && look(file, null, null)}
        >
          {(props) => (
            <Button {...props} loading={busy && !job}>
              Choose a file
            </Button>
          )}
        </FileButton>
        {refused && (
          <p role="alert" className={classes.refused}>
            {refused.name} was refused, nothing has changed.{' '}
            {refused.problem.where && refused.problem.where !== '/' ? `${refused.problem.where}: ` : ''}
            {refused.problem.message}
          </p>
        )}
        {came > 0 && !job && looked === null && (
          <p>
            <Link to="/people?mind=BROUGHT">
              {came === 1 ? 'One person' : `${came} people`} came with a belt: say what they know already
            </Link>
          </p>
        )}
        {job && <ImportProgress id={job} onEnd={ended} />}
        {!job && looked?.kind === 'archive' && (
          <ArchivePreview
            looked={looked}
            busy={busy}
            onTake={(mode) => start(`/imports?mode=${mode}`, looked.file)}
          />
        )}
        {!job && looked?.kind === 'sheet' && (
          <SheetPreview
            looked={looked}
            busy={busy}
            onLook={(sheet, dates) => look(looked.file, sheet, dates)}
            onTake={(skipBad) =>
              start(
                `/csv/${looked.sheet}?skipBad=${skipBad}${looked.dates ? `&dates=${encodeURIComponent(looked.dates)}` : ''}`,
                looked.file,
              )
            }
          />
        )}
      </section>
      <section>
        <h2>Give out</h2>
        <p>Accounts and passwords are in none of these; health and contacts only in the whole club’s file.</p>
        <ul className={classes.outs}>
          {OUT.map((out) => (
            <li key={out.href}>
              <a href={out.href} download={out.file}>
                <strong>{out.name}</strong>
                <span className="quiet">{out.also}</span>
              </a>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

import { SegmentedControl } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import { useIncidents } from '../../api/keeping';
import { useToday } from '../../api/mat';
import { PageHead } from '../../frame/PageHead';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { count, date, daysBefore } from '../../ui/words';
import classes from './Incidents.module.css';
import { KINDS, lacks, OUTCOMES, PARTS } from './incident';

const SPANS = [
  { value: '91', label: 'Three months' },
  { value: '365', label: 'Year' },
  { value: '1825', label: 'Five years' },
];

/** What happened in the club, the latest first, and whose sheet is not complete. */
export function IncidentsPage() {
  const [params, setParams] = useSearchParams();
  const today = useToday();
  const days = SPANS.find((one) => one.value === params.get('days'))?.value ?? '365';
  const incidents = useIncidents({ from: daysBefore(today, Number(days)), to: today });
  return (
    <>
      <PageHead title="Incidents">
        <Link to="/people">People</Link>
      </PageHead>
      <Scroll label="Incidents" className={classes.body}>
        <SegmentedControl
          aria-label="How far back"
          data={SPANS}
          value={days}
          onChange={(value) => setParams({ days: value }, { replace: true })}
          mb={14}
        />
        <Loaded query={incidents}>
          {(all) =>
            all.length === 0 ? (
              <p>
                Nothing was written down in this time. It is done on a student’s page, under Trail, or at the
                mat.
              </p>
            ) : (
              <table className={classes.all}>
                <caption className="quiet">{count(all.length, 'incident', 'incidents')}</caption>
                <thead>
                  <tr>
                    <th scope="col">Day</th>
                    <th scope="col">Who</th>
                    <th scope="col">What</th>
                    <th scope="col">Went on</th>
                    <th scope="col">Sheet</th>
                  </tr>
                </thead>
                <tbody>
                  {all.map(({ incident, name }) => (
                    <tr key={incident.id}>
                      <td>{date(incident.on)}</td>
                      <td>
                        <Link to={`/people/${incident.student}?tab=trail`}>{name}</Link>
                      </td>
                      <td>
                        {KINDS[incident.kind]}
                        {incident.part && `, ${PARTS[incident.part].toLowerCase()}`}
                      </td>
                      <td>{incident.outcome ? OUTCOMES[incident.outcome] : '–'}</td>
                      <td>
                        <Link to={`/people/incidents/${incident.id}`}>
                          {lacks(incident).length === 0 ? 'Complete' : `${lacks(incident).length} missing`}
                        </Link>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )
          }
        </Loaded>
      </Scroll>
    </>
  );
}

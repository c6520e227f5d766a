import { Button, Progress } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { type Problem, read, send } from '../api/client';
import type { Job } from '../api/types';
import classes from './Exchange.module.css';

const OVER = ['DONE', 'FAILED', 'CANCELLED'];

/** How far an import is, with a way to stop it that leaves nothing behind. */
export function ImportProgress({ id, onEnd }: { id: string; onEnd: (job: Job) => void }) {
  const job = useQuery<Job, Problem>({
    queryKey: ['import', id],
    queryFn: () => read(`/imports/${id}`),
    refetchInterval: (query) => (OVER.includes(query.state.data?.state ?? '') ? false : 300),
  });
  const data = job.data;
  // biome-ignore lint/correctness/useExhaustiveDependencies: told once, when the state becomes final
  useEffect(() => {
    if (data && OVER.includes(data.state)) onEnd(data);
  }, [data?.state]);
  const share = data && data.total > 0 ? (100 * data.done) / data.total : 0;
  return (
    <div className={classes.progress} role="status">
      <p>
        {data ? `${data.stage}${data.total > 1 ? `, ${data.done} of ${data.total}` : ''}` : 'beginning'} …
      </p>
      <Progress value={share} animated aria-label="Import" />
      <Button variant="default" onClick={() => send('DELETE', `/imports/${id}`)}>
        Cancel
      </Button>
    </div>
  );
}

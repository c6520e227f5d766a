import { useState } from 'react';
import { send } from '../api/client';
import { isOver, usePlanJob } from '../api/terms';
import type { Proposal, TermPlan } from '../api/types';
import { useNotices } from '../ui/Notices';

/** Asks for a plan, shows how far it is, and holds what came of it until it is taken or left. */
export function usePlanning() {
  const [id, setId] = useState<string | null>(null);
  const job = usePlanJob(id).data;
  const say = useNotices();
  const isRunning = id !== null && !isOver(job);
  return {
    isRunning,
    share: job && job.total > 0 ? (100 * job.done) / job.total : 0,
    /** Meetings that have found no place so far. */
    owed: isRunning && typeof job?.best === 'number' ? job.best : null,
    problem: job?.state === 'FAILED' ? (job.problem?.detail ?? 'It could not be planned.') : null,
    proposal: job?.state === 'DONE' ? (job.result as Proposal) : null,
    start: async (plan: TermPlan) => {
      try {
        setId((await send('POST', '/plans/jobs', plan)).id);
      } catch (error) {
        say.failed(error);
      }
    },
    cancel: () => {
      if (id) send('DELETE', `/plans/jobs/${id}`).catch(say.failed);
      setId(null);
    },
    forget: () => setId(null),
  };
}

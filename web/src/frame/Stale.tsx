import { notifyManager, type QueryCache, useQueryClient } from '@tanstack/react-query';
import { useCallback, useSyncExternalStore } from 'react';
import { Problem } from '../api/client';
import { moment } from '../ui/words';
import classes from './Stale.module.css';

/** Answers that stand on this page and could not be read again. Who has to sign in again is asked to elsewhere. */
const failed = (cache: QueryCache) =>
  cache
    .findAll({ type: 'active' })
    .filter(
      ({ state: { data, error, status } }) =>
        status === 'error' && data !== undefined && !(error instanceof Problem && error.status === 401),
    );

/** Says that the page shows what was read before, and since when, as long as it cannot be read again. */
export function Stale() {
  const client = useQueryClient();
  const cache = client.getQueryCache();
  const since = useSyncExternalStore(
    useCallback((changed) => cache.subscribe(notifyManager.batchCalls(changed)), [cache]),
    () => Math.min(...failed(cache).map((query) => query.state.dataUpdatedAt)),
  );
  const [first] = failed(cache);
  if (!first) return null;
  return (
    <div role="status" className={classes.stale}>
      <p>
        {first.state.error?.message} This page shows what was read {moment(new Date(since).toISOString())}.
      </p>
      <button
        type="button"
        onClick={() => Promise.all(failed(cache).map((query) => query.fetch().catch(() => {})))}
      >
        Try again
      </button>
    </div>
  );
}

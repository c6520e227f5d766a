import { Button, Skeleton } from '@mantine/core';
import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link } from 'react-router';
import { useSession } from '../api/club';
import { reportError } from '../api/report';
import classes from './States.module.css';

/** A skeleton of the size of what is coming, so that nothing jumps. */
export function Waiting({ height = 320 }: { height?: number | string }) {
  return (
    <div role="status" aria-label="Loading" style={{ padding: 18 }}>
      <Skeleton height={height} radius={3} className={classes.coming} />
    </div>
  );
}

/** What happened, and another try. */
export function Failed({ error, retry }: { error: Error; retry: () => void }) {
  return (
    <div role="alert" className={classes.box}>
      <h2>This did not load</h2>
      <p>{error.message} Nothing was changed.</p>
      <Button onClick={retry}>Try again</Button>
    </div>
  );
}

type EmptyProps = {
  title: string;
  children: ReactNode;
  /** Where a head coach begins, the usual way first. */
  steps?: { label: string; to: string }[];
  /** Whether any coach may take the first step, and not the head coach alone. */
  isCoachs?: boolean;
};

/** What goes here, and the first step as a button. */
export function Empty({ title, children, steps = [], isCoachs = false }: EmptyProps) {
  const role = useSession().data?.role;
  const mayBegin = role === 'HEAD' || (isCoachs && role === 'COACH');
  return (
    <div className={classes.box}>
      <h2>{title}</h2>
      <p>{children}</p>
      {steps.length > 0 && !mayBegin && <p>A {isCoachs ? 'coach' : 'head coach'} can begin here.</p>}
      {mayBegin && (
        <p className={classes.steps}>
          {steps.map(({ label, to }, i) => (
            <Button key={to} component={Link} to={to} variant={i === 0 ? 'filled' : 'default'}>
              {label}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}

/** Shows a query in each of its states. */
export function Loaded<T>({
  query,
  children,
}: {
  query: UseQueryResult<T>;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) return children(query.data);
  if (query.error) return <Failed error={query.error} retry={() => query.refetch()} />;
  return <Waiting />;
}

/** Keeps a broken screen from taking the frame with it; another screen is tried by itself. */
export function Boundary({ screen, children }: { screen: string; children: ReactNode }) {
  return (
    <ErrorBoundary
      resetKeys={[screen]}
      onError={(error) => reportError(error)}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <Failed
          error={error instanceof Error ? error : new Error(String(error))}
          retry={resetErrorBoundary}
        />
      )}
    >
      {children}
    </ErrorBoundary>
  );
}

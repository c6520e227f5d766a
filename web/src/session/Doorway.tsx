import type { ReactNode } from 'react';
import classes from './SignIn.module.css';

type Props = { title: string; responsibility: string; children: ReactNode };

/** What stands before the house: the hill, a name, and one thing to fill in. */
export function Doorway({ title, responsibility, children }: Props) {
  return (
    <main className={classes.page}>
      <svg className={classes.hill} viewBox="0 0 1280 800" preserveAspectRatio="none" aria-hidden="true">
        <path d="M0 240h420q30 0 40 30l20 60h260q30 0 40 30l20 60h200q30 0 40 30l20 60h220v310H0z" />
        <path d="M0 400h330q30 0 40 30l20 60h250q30 0 40 30l20 60h230q30 0 40 30l20 60h290v150H0z" />
        <path d="M0 560h250q30 0 40 30l20 60h250q30 0 40 30l20 60h660v60H0z" />
      </svg>
      <div className={classes.form}>
        <p className={classes.mark}>Lynchet</p>
        <h1>{title}</h1>
        {children}
        <p className={classes.small}>{responsibility}</p>
      </div>
    </main>
  );
}

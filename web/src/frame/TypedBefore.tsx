import { Button } from '@mantine/core';
import { useState } from 'react';
import classes from './TypedBefore.module.css';
import { forgetTyped, typedBefore } from './updated';

/** What was typed before the page had to be loaded again, to be copied back. */
export function TypedBefore() {
  const [typed, setTyped] = useState(() => typedBefore(sessionStorage));
  if (typed.length === 0) return null;
  return (
    <section className={classes.typed} aria-label="What you had typed">
      <p>
        Lynchet was updated while this page was open. This is what you had typed; nothing of it was saved yet.
      </p>
      <dl>
        {typed.map(({ label, text }) => (
          <div key={`${label} ${text}`}>
            <dt>{label}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
      <Button
        size="compact-md"
        variant="default"
        onClick={() => {
          forgetTyped(sessionStorage);
          setTyped([]);
        }}
      >
        I have it
      </Button>
    </section>
  );
}

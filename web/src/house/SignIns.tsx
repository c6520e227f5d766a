import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Problem, read } from '../api/client';
import type { SignInLine } from '../api/types';
import { Loaded } from '../ui/States';
import { count, moment } from '../ui/words';
import classes from './AccountsRoom.module.css';
import { device } from './OwnAccount';

const FEW = 12;

/** Who came in and who tried to, the latest first: what is not one’s own stands out. */
export function SignIns() {
  const [isAll, setAll] = useState(false);
  const lines = useQuery<SignInLine[], Problem>({
    queryKey: ['accounts', 'sign-ins'],
    queryFn: () => read('/accounts/sign-ins'),
  });
  return (
    <section aria-label="Who signed in">
      <h2>Who signed in</h2>
      <p className="quiet">The last 90 days. A name that is no account is not kept.</p>
      <Loaded query={lines}>
        {(all) =>
          all.length === 0 ? (
            <p className="quiet">Nobody yet.</p>
          ) : (
            <>
              <ul className={classes.list}>
                {(isAll ? all : all.slice(0, FEW)).map((line) => (
                  <li key={`${line.account} ${line.last} ${line.address} ${line.gotIn}`}>
                    <strong>{line.account ?? 'no such account'}</strong>
                    <span className={line.gotIn ? undefined : classes.wrong}>{how(line)}</span>
                    <span className="quiet">{moment(line.last)}</span>
                    <span className="quiet">
                      {device(line.browser)}, {line.address}
                    </span>
                  </li>
                ))}
              </ul>
              {!isAll && all.length > FEW && (
                <Button variant="default" onClick={() => setAll(true)}>
                  Show {all.length === 200 ? 'the last 200' : `all ${all.length}`}
                </Button>
              )}
            </>
          )
        }
      </Loaded>
    </section>
  );
}

const how = ({ gotIn, tries }: SignInLine) => (gotIn ? 'came in' : count(tries, 'wrong try', 'wrong tries'));

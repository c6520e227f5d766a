import { Button } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type Problem, read, send } from '../api/client';
import type { CopyView } from '../api/types';
import { useWhole } from '../api/whole';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { moment } from '../ui/words';
import classes from './CopiesRoom.module.css';
import { Keeping } from './Keeping';

const size = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

/** The copies of everything that is kept; one is taken each night. */
export function CopiesRoom() {
  const client = useQueryClient();
  const say = useNotices();
  const copies = useQuery<CopyView[], Problem>({ queryKey: ['copies'], queryFn: () => read('/copies') });
  const whole = useWhole();
  const take = useMutation<CopyView, Problem>({
    mutationFn: () => send('POST', '/copies', {}),
    onSuccess: (copy) => {
      client.invalidateQueries({ queryKey: ['copies'] });
      if (copy.isReadBack) say.done(`A copy of ${size(copy.bytes)} is taken; every row of it was read back.`);
      else say.failed(new Error('The data is damaged, so this copy is none to go back to.'));
    },
    onError: (error) => say.failed(error),
  });
  return (
    <>
      <section aria-label="Safe keeping">
        <h2>Safe keeping</h2>
        <p>
          A copy is taken each night and read back; the last fourteen are kept beside the data. A copy holds
          everything, accounts and notes too: whoever has one has all of it. Carry one out of the house now
          and then.
        </p>
        <Button onClick={() => take.mutate()} loading={take.isPending}>
          Take a copy now
        </Button>
        <Loaded query={copies}>
          {(all) =>
            all.length === 0 ? (
              <p className="quiet">There is no copy yet.</p>
            ) : (
              <ul className={classes.copies}>
                {all.map((copy) => (
                  <li key={copy.name}>
                    <strong>{moment(copy.at)}</strong>
                    <span>{size(copy.bytes)}</span>
                    <span className={copy.isReadBack ? 'quiet' : classes.unread}>
                      {copy.isReadBack ? 'read back' : 'not good to go back to'}
                    </span>
                    <a href={`/api/copies/${copy.name}`} download={copy.name}>
                      Save it elsewhere
                    </a>
                  </li>
                ))}
              </ul>
            )
          }
        </Loaded>
        {whole.data?.damage ? (
          <p role="alert" className={classes.unread}>
            {whole.data.damage}
          </p>
        ) : (
          whole.data?.at && (
            <p className="quiet">
              Everything was read through on {moment(whole.data.at)}; nothing is damaged.
            </p>
          )
        )}
        <p className="quiet">
          A copy is put back from the console: stop Lynchet, then <code>./lynchet restore FILE</code>. What
          was there before is kept aside.
        </p>
      </section>
      <Keeping />
    </>
  );
}

import { useWayIn } from '../api/club';
import { Loaded } from '../ui/States';
import { CameraCode } from './CameraCode';
import classes from './TabletsRoom.module.css';

/** How a tablet or a telephone comes in: a code for its camera and three steps. */
export function TabletsRoom() {
  const way = useWayIn();
  return (
    <section aria-label="Tablets">
      <h2>Tablets and telephones</h2>
      <Loaded query={way}>
        {({ address, authority, code, side }) =>
          address === null ? (
            <>
              <p>
                This Lynchet is reached from this machine only. So that tablets on the club’s network reach it
                too, start it with this machine’s address there:
              </p>
              <pre>./lynchet run --address 192.168.1.20</pre>
            </>
          ) : (
            <div className={classes.way}>
              {code && <CameraCode path={code} side={side} says={`Code of ${authority ?? address}`} />}
              <ol>
                {authority && (
                  <>
                    <li>
                      Point the tablet’s camera at the code and open <a href={authority}>{authority}</a>. It
                      warns once, since it does not know the club’s authority yet; go on.
                    </li>
                    <li>Install what it loads as a trusted authority, in the settings under certificates.</li>
                  </>
                )}
                <li>
                  Open <a href={address}>{address}</a>, sign in, and put it on the home screen. The mat then
                  works without the server, too.
                </li>
              </ol>
            </div>
          )
        }
      </Loaded>
    </section>
  );
}

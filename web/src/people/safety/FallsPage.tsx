import { Link, useSearchParams } from 'react-router';
import { useUnseenFalls } from '../../api/people';
import { PageHead } from '../../frame/PageHead';
import { Scroll } from '../../ui/Scroll';
import { Empty, Loaded } from '../../ui/States';
import classes from '../person/PersonPage.module.css';
import { FallsToSee } from './FallsToSee';

/** Whose falls nobody here has seen yet: all who train here, or those who are in a class. */
export function FallsPage() {
  const [params] = useSearchParams();
  const classId = params.get('class');
  const unseen = useUnseenFalls(classId ? { classId } : {});
  return (
    <>
      <PageHead title="Falls not yet seen here">
        {classId ? <Link to={`/mat/${classId}`}>The class</Link> : <Link to="/people">People</Link>}
      </PageHead>
      <Loaded query={unseen}>
        {(all) =>
          all.length === 0 ? (
            <Empty title="Every fall has been seen">
              When somebody comes with a belt, the breakfalls below it stand here until a coach has seen them.
            </Empty>
          ) : (
            <Scroll label="Falls not yet seen here" className={classes.body}>
              <p>
                They came with these. Watch each one fall once: until then nobody throws them on the move or
                live.
              </p>
              <FallsToSee unseen={all} />
            </Scroll>
          )
        }
      </Loaded>
    </>
  );
}

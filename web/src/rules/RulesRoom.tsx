import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { readTagged } from '../api/client';
import { useSession } from '../api/club';
import { type MapIndex, useMap } from '../api/map';
import type { Ruleset } from '../api/types';
import { NEW } from '../form/fields';
import { Empty, Failed, Loaded } from '../ui/States';
import { count } from '../ui/words';
import classes from './Rules.module.css';
import { RulesForm } from './RulesForm';
import { blankRules, likeRules } from './rules';

const JACKET = { EITHER: 'with or without a jacket', JACKET: 'with a jacket', NO_JACKET: 'without a jacket' };

/** The rules under which bouts are fought, chains are measured and ranks are checked. */
export function RulesRoom() {
  const map = useMap();
  const { rules } = useParams();
  return (
    <Loaded query={map}>
      {(index) => (rules ? <One key={rules} id={rules} map={index} /> : <All map={index} />)}
    </Loaded>
  );
}

function All({ map }: { map: MapIndex }) {
  const isHead = useSession().data?.role === 'HEAD';
  const { rulesets } = map.data;
  return (
    <section aria-label="Rules of bouts">
      <h2>Rules of bouts</h2>
      <p className="quiet">
        What is legal at which age, what scores and what ends a bout. Chains are measured and ranks are
        checked under them. Local rules come first: make your own from one that is near.
      </p>
      {rulesets.length === 0 && (
        <Empty title="No rules yet">Ranks are checked on the whole map until there are some.</Empty>
      )}
      <ul className={classes.all}>
        {rulesets.map((rules) => (
          <li key={rules.id}>
            <div>
              <strong>{rules.name}</strong>
              <span className="quiet">
                {count(rules.minutes, 'minute', 'minutes')}, {JACKET[rules.jacket]}, {limited(rules)}
              </span>
            </div>
            {isHead && (
              <>
                <Button component={Link} to={`/house/rules/${rules.id}`} variant="default" size="compact-md">
                  Change
                </Button>
                <Button
                  component={Link}
                  to={`/house/rules/${NEW}?like=${rules.id}`}
                  variant="default"
                  size="compact-md"
                >
                  Make one like it
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
      {isHead && (
        <Button component={Link} to={`/house/rules/${NEW}`} mt={12}>
          New rules from nothing
        </Button>
      )}
    </section>
  );
}

function One({ id, map }: { id: string; map: MapIndex }) {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const back = () => navigate('/house/rules');
  const like = map.data.rulesets.find((one) => one.id === params.get('like'));
  if (id === NEW)
    return (
      <RulesForm
        map={map}
        opened={{ value: like ? likeRules(like) : blankRules(), tag: null }}
        like={like?.id ?? null}
        onDone={back}
      />
    );
  return <Kept id={id} map={map} onDone={back} />;
}

function Kept({ id, map, onDone }: { id: string; map: MapIndex; onDone: () => void }) {
  const query = useQuery<{ value: Ruleset; tag: string }>({
    queryKey: ['map', 'ruleset', id],
    queryFn: () => readTagged(`/map/rulesets/${encodeURIComponent(id)}`),
  });
  if (query.isError) return <Failed error={query.error} retry={() => query.refetch()} />;
  return (
    <Loaded query={query}>
      {(opened) => <RulesForm key={opened.tag} map={map} opened={opened} like={id} onDone={onDone} />}
    </Loaded>
  );
}

const limited = ({ illegalTechniques, illegalHazards }: Ruleset) => {
  const all = [
    illegalTechniques.length > 0 && count(illegalTechniques.length, 'technique', 'techniques'),
    illegalHazards.length > 0 && count(illegalHazards.length, 'danger', 'dangers'),
  ].filter(Boolean);
  return all.length > 0 ? `${all.join(' and ')} limited` : 'nothing limited';
};

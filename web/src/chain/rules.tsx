import { Select } from '@mantine/core';
import { useSearchParams } from 'react-router';
import type { MapIndex } from '../api/map';
import classes from './ChainsPage.module.css';

/** The ruleset that says how a chain may end; it stands in the address. Null: a tap alone ends one. */
export function useChainRules(): [string | null, (rules: string | null) => void] {
  const [params, setParams] = useSearchParams();
  const set = (rules: string | null) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (rules) next.set('rules', rules);
        else next.delete('rules');
        return next;
      },
      { replace: true },
    );
  return [params.get('rules'), set];
}

/** Under which ruleset the chances to finish are told. */
export function RulesPick({ map }: { map: MapIndex }) {
  const [rules, setRules] = useChainRules();
  return (
    <Select
      aria-label="What ends a bout"
      className={classes.rules}
      data={[
        { value: 'tap', label: 'A tap ends it' },
        ...map.data.rulesets.map((r) => ({ value: r.id, label: r.name })),
      ]}
      value={rules ?? 'tap'}
      allowDeselect={false}
      onChange={(value) => setRules(value === 'tap' ? null : value)}
    />
  );
}

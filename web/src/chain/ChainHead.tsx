import { Select, TextInput } from '@mantine/core';
import type { MapIndex } from '../api/map';
import type { Chain } from '../api/types';
import { overLimits } from '../form/limits';
import { positionOptions } from '../form/pickers';

type Props = {
  map: MapIndex;
  chain: Chain;
  isNew: boolean;
  readOnly: boolean;
  onChange: (change: Partial<Chain>) => void;
};

/** What a chain is called, what it is for, and where it begins; the start is chosen while nothing follows from it. */
export function ChainHead({ map, chain, isNew, readOnly, onChange }: Props) {
  const start = map.position.get(chain.start)?.name;
  const errors = overLimits('Chain', chain);
  if (readOnly)
    return (
      <>
        <p>{chain.intent}</p>
        <p>
          Starts in <strong>{start}</strong>
        </p>
      </>
    );
  return (
    <>
      <TextInput
        label="Name"
        value={chain.name}
        error={errors.name}
        autoFocus={isNew}
        onChange={(event) => onChange({ name: event.currentTarget.value })}
      />
      <TextInput
        label="Intent"
        placeholder="What it is for, in a sentence"
        mt={8}
        value={chain.intent}
        error={errors.intent}
        onChange={(event) => onChange({ intent: event.currentTarget.value })}
      />
      {chain.first === null ? (
        <Select
          label="Starts in"
          searchable
          mt={8}
          data={positionOptions(map)}
          value={chain.start || null}
          allowDeselect={false}
          onChange={(value) => value && onChange({ start: value })}
        />
      ) : (
        <p>
          Starts in <strong>{start}</strong>
        </p>
      )}
    </>
  );
}

import { Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import type { MapIndex } from '../../api/queries';
import type { Fault, Technique } from '../../api/types';
import { Rows } from '../edit/Lists';
import { linkOptions } from '../edit/pickers';

type Step = Technique['steps'][number];
const none = null as unknown as string;

/** Steps in order, each with what is said out loud and which foot goes where. */
export function StepRows({
  label,
  steps,
  onChange,
}: {
  label: string;
  steps: Step[];
  onChange: (steps: Step[]) => void;
}) {
  return (
    <Rows
      label={label}
      rows={steps}
      blank={() => ({ text: '', cue: none, footwork: none })}
      onChange={onChange}
      add="Add a step"
    >
      {(step, put, n) => (
        <>
          <Textarea
            aria-label={`${label} ${n + 1}`}
            autosize
            value={step.text}
            onChange={(event) => put({ ...step, text: event.currentTarget.value })}
          />
          <TextInput
            aria-label={`Cue of ${label} ${n + 1}`}
            placeholder="A cue to say"
            value={step.cue ?? ''}
            onChange={(event) => put({ ...step, cue: event.currentTarget.value || none })}
          />
          <TextInput
            aria-label={`Footwork of ${label} ${n + 1}`}
            placeholder="Which foot goes where"
            value={step.footwork ?? ''}
            onChange={(event) => put({ ...step, footwork: event.currentTarget.value || none })}
          />
        </>
      )}
    </Rows>
  );
}

/** Faults: what is seen, why it fails, the fix, what it opens. */
export function FaultRows({
  map,
  label,
  faults,
  onChange,
}: {
  map: MapIndex;
  label: string;
  faults: Fault[];
  onChange: (faults: Fault[]) => void;
}) {
  const fresh = (): Fault => {
    const taken = new Set(faults.map((f) => f.id));
    let n = faults.length + 1;
    while (taken.has(`fault-${n}`)) n++;
    return { id: `fault-${n}`, see: '', because: '', fix: '', opens: none, canHurt: false };
  };
  return (
    <Rows label={label} rows={faults} blank={fresh} onChange={onChange} add="Add a fault">
      {(fault, put, n) => (
        <>
          <TextInput
            aria-label={`${label} ${n + 1}: what is seen`}
            placeholder="What you see"
            value={fault.see}
            onChange={(event) => put({ ...fault, see: event.currentTarget.value })}
          />
          <TextInput
            aria-label={`${label} ${n + 1}: why it fails`}
            placeholder="Why it fails"
            value={fault.because}
            onChange={(event) => put({ ...fault, because: event.currentTarget.value })}
          />
          <TextInput
            aria-label={`${label} ${n + 1}: the fix`}
            placeholder="The fix"
            value={fault.fix}
            onChange={(event) => put({ ...fault, fix: event.currentTarget.value })}
          />
          <Select
            aria-label={`${label} ${n + 1}: what it opens`}
            placeholder="Opens nothing in particular"
            clearable
            searchable
            limit={40}
            data={linkOptions(map)}
            value={fault.opens}
            onChange={(value) => put({ ...fault, opens: value ?? none })}
          />
          <Checkbox
            label="It can hurt someone"
            checked={fault.canHurt}
            onChange={(event) => put({ ...fault, canHurt: event.currentTarget.checked })}
          />
        </>
      )}
    </Rows>
  );
}

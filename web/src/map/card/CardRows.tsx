import { Checkbox, Select, Textarea, TextInput } from '@mantine/core';
import type { MapIndex } from '../../api/map';
import type { Fault, Technique } from '../../api/types';
import { Rows } from '../../form/Lists';
import { linkOptions } from '../../form/pickers';
import { useErrorAt } from '../../form/useDraft';

type Step = Technique['steps'][number];

/** Steps in order, each with what is said out loud and which foot goes where. */
export function StepRows({
  label,
  at,
  steps,
  onChange,
}: {
  label: string;
  /** Their path in the form. */
  at: string;
  steps: Step[];
  onChange: (steps: Step[]) => void;
}) {
  const error = useErrorAt();
  return (
    <Rows
      label={label}
      at={at}
      rows={steps}
      blank={() => ({ text: '', cue: null, footwork: null })}
      onChange={onChange}
      add="Add a step"
    >
      {(step, put, n) => (
        <>
          <Textarea
            aria-label={`${label} ${n + 1}`}
            autosize
            error={error(`${at}.${n}.text`)}
            value={step.text}
            onChange={(event) => put({ ...step, text: event.currentTarget.value })}
          />
          <TextInput
            aria-label={`Cue of ${label} ${n + 1}`}
            placeholder="A cue to say"
            error={error(`${at}.${n}.cue`)}
            value={step.cue ?? ''}
            onChange={(event) => put({ ...step, cue: event.currentTarget.value || null })}
          />
          <TextInput
            aria-label={`Footwork of ${label} ${n + 1}`}
            placeholder="Which foot goes where"
            error={error(`${at}.${n}.footwork`)}
            value={step.footwork ?? ''}
            onChange={(event) => put({ ...step, footwork: event.currentTarget.value || null })}
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
  at,
  faults,
  onChange,
}: {
  map: MapIndex;
  label: string;
  /** Their path in the form. */
  at: string;
  faults: Fault[];
  onChange: (faults: Fault[]) => void;
}) {
  const error = useErrorAt();
  const fresh = (): Fault => {
    const taken = new Set(faults.map((f) => f.id));
    let n = faults.length + 1;
    while (taken.has(`fault-${n}`)) n++;
    return { id: `fault-${n}`, see: '', because: '', fix: '', opens: null, canHurt: false };
  };
  return (
    <Rows label={label} at={at} rows={faults} blank={fresh} onChange={onChange} add="Add a fault">
      {(fault, put, n) => (
        <>
          <TextInput
            aria-label={`${label} ${n + 1}: what is seen`}
            placeholder="What you see"
            error={error(`${at}.${n}.see`)}
            value={fault.see}
            onChange={(event) => put({ ...fault, see: event.currentTarget.value })}
          />
          <TextInput
            aria-label={`${label} ${n + 1}: why it fails`}
            placeholder="Why it fails"
            error={error(`${at}.${n}.because`)}
            value={fault.because}
            onChange={(event) => put({ ...fault, because: event.currentTarget.value })}
          />
          <TextInput
            aria-label={`${label} ${n + 1}: the fix`}
            placeholder="The fix"
            error={error(`${at}.${n}.fix`)}
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
            onChange={(value) => put({ ...fault, opens: value })}
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

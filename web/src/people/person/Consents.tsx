import { Checkbox, TextInput } from '@mantine/core';
import type { Consent, Student } from '../../api/types';
import classes from './PersonPage.module.css';

const KINDS: Record<Consent['kind'], string> = {
  FIRST_AID: 'First aid, and a doctor where it is needed',
  PICTURES: 'Pictures may be shown',
  OUTSIDE_EVENTS: 'Goes along to events elsewhere',
  LETTERS: 'Letters beyond what is called off',
};

type Props = { student: Student; now: string; onChange: (consents: Consent[]) => void };

/** What they, or a guardian, agreed to; a tick says that it was signed, with the day and by whom. */
export function Consents({ student, now, onChange }: Props) {
  const set = (kind: Consent['kind'], part: Partial<Consent> | null) => {
    const others = student.consents.filter((one) => one.kind !== kind);
    const kept = student.consents.find((one) => one.kind === kind);
    if (part === null) return onChange(others);
    const by = student.contacts?.guardian ?? null;
    onChange([...others, { kind, given: now, until: null, by, ...kept, ...part }]);
  };
  return (
    <fieldset className={`${classes.wide} ${classes.consents}`}>
      <legend>Agreed to</legend>
      {(Object.entries(KINDS) as [Consent['kind'], string][]).map(([kind, label]) => {
        const kept = student.consents.find((one) => one.kind === kind);
        return (
          <div key={kind}>
            <Checkbox
              label={label}
              checked={kept !== undefined}
              onChange={(event) => set(kind, event.currentTarget.checked ? {} : null)}
            />
            {kept && (
              <>
                <TextInput
                  aria-label={`${label}: on`}
                  type="date"
                  value={kept.given}
                  onChange={(event) =>
                    event.currentTarget.value && set(kind, { given: event.currentTarget.value })
                  }
                />
                <TextInput
                  aria-label={`${label}: by`}
                  placeholder="By themselves"
                  maxLength={120}
                  value={kept.by ?? ''}
                  onChange={(event) => set(kind, { by: event.currentTarget.value || null })}
                />
              </>
            )}
          </div>
        );
      })}
    </fieldset>
  );
}

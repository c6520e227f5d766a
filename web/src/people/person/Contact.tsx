import { TextInput } from '@mantine/core';
import type { Student } from '../../api/types';
import type { PersonDraft } from './fields';

/** Nothing, or what looks like an e-mail address. */
export const isAddress = (text: string) =>
  !text.trim() || /^[^\s@<>,;"]+@[^\s@<>,;"]+\.[^\s@<>,;"]+$/.test(text.trim());

const NOBODY = {
  phone: null,
  email: null,
  guardian: null,
  guardianPhone: null,
  guardianEmail: null,
  emergency: null,
  emergencyPhone: null,
};

export const CONTACTS = [
  ['phone', 'Telephone'],
  ['email', 'E-mail'],
  ['guardian', 'Guardian'],
  ['guardianPhone', 'Guardian’s telephone'],
  ['guardianEmail', 'Guardian’s e-mail'],
  ['emergency', 'In an emergency'],
  ['emergencyPhone', 'Emergency telephone'],
] as const;

/** Whom the club calls about somebody who is not of age: asked for beside the name, never demanded. */
export const YOUNG: readonly string[] = ['guardian', 'guardianPhone', 'guardianEmail'];

export const emptied = (contacts: Student['contacts']) =>
  contacts && Object.values(contacts).some(Boolean) ? contacts : null;

/** One way to reach somebody, or whom to call about them. */
export function Contact({
  field,
  label,
  draft,
}: {
  field: (typeof CONTACTS)[number][0];
  label: string;
  draft: PersonDraft;
}) {
  const { value: student, change, error } = draft;
  return (
    <TextInput
      label={label}
      error={error(`contacts.${field}`)}
      value={student.contacts?.[field] ?? ''}
      onChange={(event) =>
        change({
          contacts: {
            ...(student.contacts ?? NOBODY),
            [field]: event.currentTarget.value || null,
          },
        })
      }
    />
  );
}

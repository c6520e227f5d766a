import type { Student } from '../../api/types';
import type { useDraft } from '../../form/useDraft';

export type PersonDraft = ReturnType<typeof useDraft<Student>>;

type Typed = { currentTarget: { value: string } };

/** A field of words; a card and a belt's size that are empty are none. */
export const textOf = (
  { value, change, error }: PersonDraft,
  field: 'calledBy' | 'card' | 'notes' | 'beltSize',
) => ({
  value: value[field] ?? '',
  error: error(field),
  onChange: (event: Typed) =>
    change({
      [field]: event.currentTarget.value || (field === 'card' || field === 'beltSize' ? null : ''),
    } as Partial<Student>),
});

export const dayOf = (
  { value, change, error }: PersonDraft,
  field: 'born' | 'joined' | 'weighed' | 'memberUntil' | 'left',
) => ({
  type: 'date',
  value: value[field] ?? '',
  error: error(field),
  onChange: (event: Typed) => change({ [field]: event.currentTarget.value || null } as Partial<Student>),
});

import { MultiSelect, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import type { Name, Student } from '../../api/types';
import { Consents } from './Consents';
import { CONTACTS, Contact, YOUNG } from './Contact';
import { dayOf, type PersonDraft, textOf } from './fields';
import classes from './PersonPage.module.css';

const STANCES = [
  { value: 'RIGHT', label: 'Right' },
  { value: 'LEFT', label: 'Left' },
  { value: 'BOTH', label: 'Both' },
];

const numberOr = (value: number | string) => (value === '' ? null : Number(value));

type Props = {
  draft: PersonDraft;
  people: Name[];
  now: string;
  /** Whom to call about them stands beside the name already. */
  isYoung: boolean;
  /** Somebody who trains here may have left. */
  canLeave: boolean;
};

/** What can come later: weight, stance, membership, whom to call, consents. */
export function MorePerson({ draft, people, now, isYoung, canLeave }: Props) {
  const { value: student, change, error } = draft;
  const others = people
    .filter((one) => one.id !== student.id)
    .map((one) => ({ value: one.id, label: one.name }));
  return (
    <details className={classes.more}>
      <summary>More: weight, stance, membership, whom to call, consents</summary>
      <div className={classes.fields}>
        <TextInput label="Called" placeholder="The first word of the name" {...textOf(draft, 'calledBy')} />
        <TextInput label="Joined" {...dayOf(draft, 'joined')} />
        <Select
          label="Stance"
          data={STANCES}
          value={student.lead}
          allowDeselect={false}
          onChange={(lead) => change({ lead: lead as Student['lead'] })}
        />
        <NumberInput
          label="Weight"
          suffix=" kg"
          decimalScale={1}
          error={error('weightKg')}
          value={student.weightKg ?? ''}
          onChange={(weight) =>
            change({
              weightKg: numberOr(weight),
              weighed: weight === '' ? null : (student.weighed ?? now),
            })
          }
        />
        <TextInput label="Weighed" {...dayOf(draft, 'weighed')} />
        <NumberInput
          label="Height"
          suffix=" cm"
          error={error('heightCm')}
          value={student.heightCm ?? ''}
          onChange={(height) => change({ heightCm: numberOr(height) })}
        />
        <TextInput
          label="Belt size"
          placeholder="As belts are sold"
          maxLength={12}
          {...textOf(draft, 'beltSize')}
        />
        <TextInput label="Member until" {...dayOf(draft, 'memberUntil')} />
        <NumberInput
          label="Classes before"
          description="Credit for what they did elsewhere"
          min={0}
          value={student.priorClasses}
          onChange={(classesBefore) => change({ priorClasses: Number(classesBefore) })}
        />
        {CONTACTS.filter(([field]) => !isYoung || !YOUNG.includes(field)).map(([field, label]) => (
          <Contact key={field} field={field} label={label} draft={draft} />
        ))}
        <MultiSelect
          label="Not paired with"
          description="Seen by coaches; pairs keep them apart"
          searchable
          limit={40}
          data={others}
          value={student.keepApart}
          onChange={(keepApart) => change({ keepApart })}
        />
        <MultiSelect
          label="Works best with"
          description="Pairs lean that way, after everything else"
          searchable
          limit={40}
          data={others}
          value={student.prefers}
          onChange={(prefers) => change({ prefers })}
        />
        {canLeave && <TextInput label="Left the club" {...dayOf(draft, 'left')} />}
        <Consents student={student} now={now} onChange={(consents) => change({ consents })} />
        <Textarea
          label="Notes"
          description="Coaches read them, nobody else"
          autosize
          className={classes.wide}
          {...textOf(draft, 'notes')}
        />
      </div>
    </details>
  );
}

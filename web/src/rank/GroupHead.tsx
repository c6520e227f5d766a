import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Rank, SyllabusGroup } from '../api/types';
import { nth } from '../ui/lists';
import classes from './RankPage.module.css';
import { groupMoved, groupNameWrong, withGroup } from './syllabus';

type Props = {
  rank: Rank;
  at: number;
  /** Keeps the changed groups; missing: they are only looked at. */
  onSave?: (groups: SyllabusGroup[], says: string) => void;
};

/** The name of a group and how much of it is asked; opened, both are changed where they stand. */
export function GroupHead({ rank, at, onSave }: Props) {
  const group = nth(rank.syllabus, at);
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState(group.name);
  const [problem, setProblem] = useState<string | null>(null);
  const rename = () => {
    const wrong = groupNameWrong(rank.syllabus, at, name);
    setProblem(wrong);
    if (!wrong && name.trim() !== group.name)
      onSave?.(withGroup(rank.syllabus, at, { name: name.trim() }), `${group.name} is now ${name.trim()}.`);
  };
  return (
    <>
      <h2>
        {group.name}
        <span className="quiet">{group.choose > 0 ? ` ${group.choose} of ${group.items.length}` : ''}</span>
        {onSave && (
          <Button
            variant="subtle"
            size="compact-sm"
            aria-expanded={isOpen}
            aria-label={`Change the group ${group.name}`}
            onClick={() => {
              setName(group.name);
              setOpen(!isOpen);
            }}
          >
            …
          </Button>
        )}
      </h2>
      {isOpen && onSave && (
        <fieldset className={classes.editor} aria-label={`The group ${group.name}`}>
          <TextInput
            label="Name"
            size="sm"
            maxLength={81}
            error={problem}
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
            onBlur={rename}
            onKeyDown={(event) => event.key === 'Enter' && rename()}
          />
          <NumberInput
            label="How many of them"
            description="0: all of them"
            size="sm"
            min={0}
            max={group.items.length}
            value={group.choose}
            onChange={(choose) =>
              Number(choose) !== group.choose &&
              onSave(
                withGroup(rank.syllabus, at, { choose: Number(choose) }),
                Number(choose) === 0
                  ? `All of ${group.name} is asked.`
                  : `${choose} of ${group.items.length} in ${group.name} are asked.`,
              )
            }
          />
          <div className={classes.acts}>
            {([-1, 1] as const).map((step) => (
              <Button
                key={step}
                size="compact-md"
                variant="default"
                disabled={step < 0 ? at === 0 : at === rank.syllabus.length - 1}
                onClick={() =>
                  onSave(
                    groupMoved(rank.syllabus, at, step),
                    `${group.name} stands ${step < 0 ? 'earlier' : 'later'}.`,
                  )
                }
              >
                {step < 0 ? '↑ earlier' : '↓ later'}
              </Button>
            ))}
            {group.items.length === 0 && (
              <Button
                size="compact-md"
                variant="subtle"
                color="rowan"
                onClick={() =>
                  onSave(
                    rank.syllabus.filter((one) => one !== group),
                    `The group ${group.name} is gone.`,
                  )
                }
              >
                Take the group out
              </Button>
            )}
          </div>
        </fieldset>
      )}
    </>
  );
}

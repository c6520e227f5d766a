import { useForm } from '@mantine/form';
import { createContext, useContext, useState } from 'react';
import type { Problem } from '../api/client';
import { type Errors, type Limited, overLimits } from './limits';

export type Opened<T> = { value: T; tag: string | null };

/** A thing as it is typed so far, with what is wrong at each field. */
export type Draft<T> = {
  value: T;
  /** The tag it was opened with; null: it is new. */
  tag: string | null;
  isNew: boolean;
  change: (next: Partial<T>) => void;
  /** Takes another version of it in place of what was typed. */
  take: (opened: Opened<T>) => void;
  error: (path: string) => string | undefined;
  errors: Errors;
  /** Checks it as the server will; false when something is to be put right first. */
  isGood: () => boolean;
  /** Shows what the server refused at the field that it names. */
  refused: (problem: Problem) => void;
};

/** "/faults/0/see" → "faults.0.see" */
export const pathOf = (where: string) => where.replace(/^\//, '').replaceAll('/', '.');

/** What a form holds: checked by the one rule of limits and by what only this form knows, before anything is sent. */
export function useDraft<T extends object>(
  opened: Opened<T>,
  schema: Limited,
  check: (value: T) => Errors,
): Draft<T> {
  const [tag, setTag] = useState(opened.tag);
  const form = useForm<T>({
    initialValues: opened.value,
    validate: (value) => ({ ...overLimits(schema, value), ...check(value) }),
  });
  const errors = form.errors as Errors;
  return {
    value: form.values,
    tag,
    isNew: tag === null,
    change: (next) => form.setValues(next),
    take: (other) => {
      setTag(other.tag);
      form.setValues(other.value);
    },
    error: (path) => errors[path],
    errors,
    isGood: () => !form.validate().hasErrors,
    refused: (problem) => {
      if (problem.where?.startsWith('/')) form.setFieldError(pathOf(problem.where), problem.message);
    },
  };
}

/** The errors of the form around, for rows of it that do not know which form they are in. */
export const ErrorsContext = createContext<Errors>({});

export const useErrorAt = () => {
  const errors = useContext(ErrorsContext);
  return (path: string): string | undefined => errors[path];
};

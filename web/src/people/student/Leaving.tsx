import { Button } from '@mantine/core';
import { useState } from 'react';
import { readTagged, send } from '../../api/client';
import { useToday } from '../../api/mat';
import type { Student } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { useNotices } from '../../ui/Notices';

/** Somebody leaves, and is out of every list but the one of those who left; or comes back, with all that was recorded. */
export function Leaving({ student }: { student: Student }) {
  const now = useToday();
  const say = useNotices();
  const changed = useChanged();
  const [sending, setSending] = useState(false);
  const leave = async (left: string | null) => {
    setSending(true);
    try {
      const { value, tag } = await readTagged(`/people/${student.id}`);
      await send('PUT', `/people/${student.id}`, { ...value, left }, tag);
      await changed('student');
      say.done(left ? `${student.calledBy} has left.` : `${student.calledBy} is back.`, () =>
        leave(value.left),
      );
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  return (
    <Button variant="default" loading={sending} onClick={() => leave(student.left ? null : now)}>
      {student.left ? 'Back again' : 'Has left'}
    </Button>
  );
}

import { useQueries } from '@tanstack/react-query';
import { sheetQuery, useDays } from '../../api/mat';
import type { Attendance, TrainingClass } from '../../api/types';
import { withWaiting } from '../../record/overlay';
import { useWaiting } from '../../record/Recording';

export type Elsewhere = { attendance: Attendance; classId: string; group: string };

/** Who is in another group of a class that is split, by person. */
export function useBeside(training: TrainingClass): Map<string, Elsewhere> {
  const waiting = useWaiting();
  const beside = (useDays(training.date, training.date).data?.classes ?? []).filter(
    (one) =>
      one.id !== training.id &&
      one.date === training.date &&
      one.start === training.start &&
      one.track === training.track &&
      !one.cancelled,
  );
  const sheets = useQueries({ queries: beside.map((one) => sheetQuery(one.id)) });
  return new Map(
    sheets.flatMap(({ data }) =>
      data
        ? withWaiting(data, waiting).attendance.map((attendance): [string, Elsewhere] => [
            attendance.student,
            {
              attendance,
              classId: data.training.id,
              group: data.training.group ?? 'the other group',
            },
          ])
        : [],
    ),
  );
}

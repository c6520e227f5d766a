import { newId } from '../../api/client';
import type { ClassSheet, Technique } from '../../api/types';
import { useRecord } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import classes from './MatPage.module.css';

type Props = { sheet: ClassSheet; technique: Technique; open?: boolean };

/** Faults of the room as large ticks: what is seen here and there, without a name. */
export function RoomFaults({ sheet, technique, open = false }: Props) {
  const record = useRecord();
  const say = useNotices();
  const counts = new Map<string, number>();
  for (const tally of sheet.tallies)
    if (tally.technique === technique.id) counts.set(tally.fault, (counts.get(tally.fault) ?? 0) + 1);
  const total = [...counts.values()].reduce((sum, n) => sum + n, 0);
  const tick = async (fault: string, see: string) => {
    const body = { id: newId('t'), classId: sheet.training.id, technique: technique.id, fault };
    try {
      await record({ kind: 'tally', body }, `In the room: ${see}`);
      say.done(`Ticked: ${see}.`, () => {
        record(
          { kind: 'untally', body: { id: body.id, classId: body.classId } },
          `In the room, not after all: ${see}`,
          body.id,
        ).catch(say.failed);
      });
    } catch (error) {
      say.failed(error);
    }
  };
  if (technique.faults.length === 0) return null;
  return (
    <details className={classes.room} open={open}>
      <summary>Seen in the room{total > 0 && `: ${total}`}</summary>
      <div>
        {technique.faults.map((fault) => (
          <button
            key={fault.id}
            type="button"
            data-tally={fault.id}
            onClick={() => tick(fault.id, fault.see)}
          >
            {fault.see} <strong>{counts.get(fault.id) ?? ''}</strong>
          </button>
        ))}
      </div>
    </details>
  );
}

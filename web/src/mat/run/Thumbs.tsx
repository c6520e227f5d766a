import { newId } from '../../api/client';
import type { Block, ClassSheet } from '../../api/types';
import { useRecord } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { count } from '../../ui/words';
import classes from './Run.module.css';

type Props = { sheet: ClassSheet; block: Block; position: string; name: string };

/** Positional rounds with two thumbs: each start ends in one of two ways, and nobody is named. */
export function Thumbs({ sheet, block, position, name }: Props) {
  const record = useRecord();
  const say = useNotices();
  const classId = sheet.training.id;
  const here = sheet.starts.filter((one) => one.blockId === block.id);
  const escapes = here.filter((one) => one.escaped).length;
  const tap = async (escaped: boolean) => {
    const body = { id: newId('st'), classId, blockId: block.id, position, escaped };
    const words = escaped ? 'Got away' : 'Held';
    try {
      await record({ kind: 'start', body }, `${words} from ${name}`);
      say.done(`${words}.`, () => {
        record({ kind: 'unstart', body: { id: body.id, classId } }, `${words}, not after all`, body.id).catch(
          say.failed,
        );
      });
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <section className={classes.thumbs} aria-label="Positional rounds">
      <p>
        From {name}: <strong>{count(here.length, 'start', 'starts')}</strong>,{' '}
        {count(escapes, 'escape', 'escapes')}
      </p>
      <button type="button" data-thumb="escaped" onClick={() => tap(true)}>
        Got away
      </button>
      <button type="button" data-thumb="held" onClick={() => tap(false)}>
        Held
      </button>
    </section>
  );
}

import type { Block } from '../../api/types';
import { nth } from '../../ui/lists';
import { type Dial, stretchesOf, swapsOf } from './clock';
import classes from './Run.module.css';

type Props = { blocks: Block[]; at: number; dial: Dial; onTurn?: (to: number) => void };

/** The evening as a strip that is ploughed as time goes; changes of partners are notches. */
export function Strip({ blocks, at, dial, onTurn }: Props) {
  const stretches = stretchesOf(blocks);
  return (
    <ol className={classes.strip} aria-label="The evening">
      {blocks.map((block, n) => {
        const seconds = nth(stretches, n).seconds;
        const inner = (
          <>
            <span className={classes.ploughed} style={{ width: `${100 * nth(dial.ploughed, n)}%` }} />
            {swapsOf(nth(stretches, n), seconds).map((second) => (
              <span key={second} className={classes.notch} style={{ left: `${(100 * second) / seconds}%` }} />
            ))}
            <span className={classes.named}>
              {block.title} <b>{block.minutes}</b>
            </span>
          </>
        );
        return (
          <li key={block.id} style={{ flexGrow: block.minutes }} aria-current={n === at ? 'step' : undefined}>
            {onTurn ? (
              <button type="button" onClick={() => onTurn(n)}>
                {inner}
              </button>
            ) : (
              <div>{inner}</div>
            )}
          </li>
        );
      })}
    </ol>
  );
}

import type { Stage } from '../api/types';
import { count, plain } from '../ui/words';
import classes from './Folds.module.css';
import { MARGIN, type Terrace } from './lay';
import { across } from './place';

type Props = {
  terraces: Terrace[];
  width: number;
  onUnfold: (stage: Stage) => void;
  /** Folds the open terrace; left out while a plot of it is selected. */
  onFold?: () => void;
};

/** Folded terraces: the name and how many; where all are folded, counts by control with the busiest names. */
export function Folds({ terraces, width, onUnfold, onFold }: Props) {
  const grade = (width - 2 * MARGIN) / 6;
  return terraces.flatMap(({ stage, top, fold }) => {
    if (!fold)
      return onFold
        ? [
            <button
              key={stage}
              type="button"
              className={`${classes.head} ${classes.back}`}
              style={{ top: top + 1 }}
              data-terrace={stage}
              aria-expanded
              onClick={onFold}
            >
              <span>fold {plain(stage).toLowerCase()}</span>
            </button>,
          ]
        : [];
    const head = (
      <button
        key={stage}
        type="button"
        className={classes.head}
        style={{ top: top + 2 }}
        data-terrace={stage}
        aria-expanded={false}
        onClick={() => onUnfold(stage)}
      >
        {plain(stage)} <span>{count(fold.n, 'position', 'positions')}, unfold</span>
      </button>
    );
    const bins = fold.bins.map((bin) => (
      <button
        key={`${stage} ${bin.control}`}
        type="button"
        className={classes.bin}
        style={{
          top: top + 32,
          left: across(bin.control, width, MARGIN) - (grade - 10) / 2,
          width: grade - 10,
        }}
        data-bin={`${stage} ${bin.control}`}
        tabIndex={-1}
        onClick={() => onUnfold(stage)}
      >
        <strong>{bin.n}</strong>
        {bin.names.map((name) => (
          <span key={name}>{name}</span>
        ))}
      </button>
    ));
    return [head, ...bins];
  });
}

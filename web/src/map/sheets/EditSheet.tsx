import type { MapIndex } from '../../api/map';
import { LinkForm } from '../edit/LinkForm';
import { PositionForm } from '../edit/PositionForm';
import { ReactionForm } from '../edit/ReactionForm';
import type { Editing } from './DecisionSheet';
import sheet from './DecisionSheet.module.css';

type Props = {
  map: MapIndex;
  editing: Editing;
  /** The position whose decision table is being changed; empty for a new position. */
  at: string;
  onDone: (position?: string) => void;
  onCancel: () => void;
};

/** The form that stands in the place of the decision table while something in it is changed. */
export function EditSheet({ map, editing, at, onDone, onCancel }: Props) {
  const form = () => {
    switch (editing.what) {
      case 'position':
        return <PositionForm map={map} pair={editing.pair} onDone={onDone} onCancel={onCancel} />;
      case 'link':
        return (
          <LinkForm
            map={map}
            link={editing.link}
            from={editing.when ? (map.reaction.get(editing.when)?.leaves ?? at) : at}
            when={editing.when}
            onDone={() => onDone()}
            onCancel={onCancel}
          />
        );
      case 'reaction':
        return (
          <ReactionForm
            map={map}
            reaction={editing.reaction}
            at={at}
            onDone={() => onDone()}
            onCancel={onCancel}
          />
        );
    }
  };
  return (
    <aside className={sheet.sheet} aria-label="Change the map" data-sheet="edit">
      {form()}
    </aside>
  );
}

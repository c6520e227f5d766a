import { TextInput } from '@mantine/core';
import { useId, useState } from 'react';
import { fold } from '../frame/search';
import classes from './ChainEditor.module.css';

export type Suggestion = { kind: 'link' | 'reaction'; id: string; text: string; also: string };

type Props = {
  where: string;
  suggestions: Suggestion[];
  onAccept: (suggestion: Suggestion) => void;
  onLeave: () => void;
  onRemove: () => void;
};

/** One line being typed. Enter takes the suggestion, on an empty line it leaves; Backspace on an empty line removes. */
export function Entry({ where, suggestions, onAccept, onLeave, onRemove }: Props) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const [open, setOpen] = useState(false);
  const list = useId();
  const isIf = /^if\b/i.test(text.trim());
  const wanted = fold(text);
  const shown = suggestions
    .filter((s) => (isIf ? s.kind === 'reaction' : true))
    .filter((s) => fold(s.text).includes(wanted))
    .slice(0, 8);
  const showing = open && shown.length > 0;
  return (
    <div className={classes.entry}>
      <TextInput
        aria-label={where}
        placeholder={`${where} … or “if …”`}
        role="combobox"
        aria-expanded={showing}
        aria-controls={list}
        value={text}
        autoFocus={document.activeElement?.closest('ol') !== null}
        onFocus={() => setOpen(true)}
        onBlur={() => window.setTimeout(() => setOpen(false), 150)}
        onChange={(event) => {
          setText(event.currentTarget.value);
          setAt(0);
          setOpen(true);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            if (text.trim() === '' && at === 0) onLeave();
            else if (shown[at]) onAccept(shown[at]);
          } else if (event.key === 'ArrowDown') setAt((i) => Math.min(shown.length - 1, i + 1));
          else if (event.key === 'ArrowUp') setAt((i) => Math.max(0, i - 1));
          else if (event.key === 'Backspace' && text === '') onRemove();
          else return;
          event.preventDefault();
        }}
      />
      <div
        id={list}
        role="listbox"
        aria-label="What fits here"
        className={showing ? classes.suggestions : 'unseen'}
      >
        {showing &&
          shown.map((suggestion, i) => (
            <button
              key={suggestion.id}
              type="button"
              role="option"
              tabIndex={-1}
              aria-selected={i === at}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => onAccept(suggestion)}
            >
              {suggestion.text} <span className={classes.to}>{suggestion.also}</span>
            </button>
          ))}
      </div>
    </div>
  );
}

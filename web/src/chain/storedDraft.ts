import { useEffect, useState } from 'react';
import type { Chain } from '../api/types';

/** A chain as it is being written; the tag it was read with, null while it is new. */
export type Draft = { chain: Chain; tag: string | null };

const keyOf = (id: string) => `lynchet-chain-draft ${id}`;

function stored(id: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null');
  } catch {
    return null;
  }
}

/** What was typed and not yet saved survives a reload. */
export function useStoredDraft(kept: Draft) {
  const { id } = kept.chain;
  const [draft, setDraft] = useState<Draft>(() => stored(id) ?? kept);
  const isChanged = JSON.stringify(draft.chain) !== JSON.stringify(kept.chain);
  useEffect(() => {
    if (isChanged) localStorage.setItem(keyOf(id), JSON.stringify(draft));
    else localStorage.removeItem(keyOf(id));
  }, [draft, isChanged, id]);
  return [draft, setDraft] as const;
}

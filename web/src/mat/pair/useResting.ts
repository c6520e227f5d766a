import { useState } from 'react';

const keyOf = (classId: string) => `resting-${classId}`;

function stored(classId: string): string[] {
  try {
    return JSON.parse(localStorage.getItem(keyOf(classId)) ?? '[]');
  } catch {
    return [];
  }
}

/** Who sits out for now, on this device: somebody hurt, somebody who watches. Ids only. */
export function useResting(classId: string) {
  const [resting, setResting] = useState(() => stored(classId));
  const keep = (next: string[]) => {
    if (next.length > 0) localStorage.setItem(keyOf(classId), JSON.stringify(next));
    else localStorage.removeItem(keyOf(classId));
    setResting(next);
  };
  return {
    resting,
    rest: (id: string) => keep([...resting.filter((one) => one !== id), id]),
    goOn: (id: string) => keep(resting.filter((one) => one !== id)),
  };
}

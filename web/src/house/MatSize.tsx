import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { useNumbers } from '../api/club';
import { count } from '../ui/words';
import { pairsThatThrow } from './room';

/** From the size of the mat, how many pairs can throw at once by the club's numbers. */
export function MatSize({ onTake }: { onTake: (pairs: number) => void }) {
  const side = useNumbers().data?.value.numbers.throwMetres ?? 4;
  const [length, setLength] = useState(0);
  const [width, setWidth] = useState(0);
  const pairs = pairsThatThrow(length, width, side);
  return (
    <details>
      <summary>Work out the room to throw</summary>
      <div style={{ display: 'flex', gap: 8, alignItems: 'end', flexWrap: 'wrap' }}>
        <NumberInput
          label="Mat, long"
          suffix=" m"
          w={110}
          min={0}
          max={100}
          value={length || ''}
          onChange={(value) => setLength(Number(value) || 0)}
        />
        <NumberInput
          label="Wide"
          suffix=" m"
          w={110}
          min={0}
          max={100}
          value={width || ''}
          onChange={(value) => setWidth(Number(value) || 0)}
        />
        {length > 0 && width > 0 && (
          <Button variant="default" disabled={pairs === 0 || pairs > 60} onClick={() => onTake(pairs)}>
            {pairs === 0 ? `No room: ${side} × ${side} m for each` : `Take ${count(pairs, 'pair', 'pairs')}`}
          </Button>
        )}
      </div>
    </details>
  );
}

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Welcome } from '../api/types';
import { Doorway } from './Doorway';
import { EnterForm } from './EnterForm';

/** The first page: sign in; in a new club, make the head coach. */
export function SignIn({ welcome }: { welcome: Welcome }) {
  const [body, setBody] = useState({ code: '', club: '', library: 'WHOLE' });
  const first = welcome.first;
  const set = (field: keyof typeof body) => (event: { currentTarget: { value: string } }) => {
    const { value } = event.currentTarget;
    setBody((before) => ({ ...before, [field]: value }));
  };
  const fields = (
    <>
      <TextInput label="Code from the console" value={body.code} onChange={set('code')} required />
      <TextInput label="Name of the club" value={body.club} onChange={set('club')} required />
      <NativeSelect
        label="Begin with"
        description="Whatever you begin with is yours to change; more can be taken later."
        value={body.library}
        onChange={set('library')}
        data={[
          { value: 'WHOLE', label: 'The whole library' },
          { value: 'JACKET', label: 'What is done with a jacket' },
          { value: 'NO_JACKET', label: 'What is done without a jacket' },
          { value: 'EMPTY', label: 'An empty map' },
        ]}
      />
    </>
  );
  return (
    <Doorway title={first ? 'A new club' : welcome.club} responsibility={welcome.responsibility}>
      <p className="quiet">
        {first
          ? 'Make the head coach. The one-time code stands on the console that started Lynchet.'
          : 'The map, the ranks and tonight’s class.'}
      </p>
      <EnterForm welcome={welcome} first={first ? { fields, body } : undefined} />
    </Doorway>
  );
}

import { Modal } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import type { Session, Welcome } from '../api/types';
import { useOutbox } from '../record/Recording';
import { EnterForm } from './EnterForm';

/** The sign-in has run out: it is done again over the page, so that what was typed stays. */
export function SignInAgain({ welcome, was }: { welcome: Welcome; was: Session }) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const entered = async (session: Session) => {
    if (session.name === was.name) client.invalidateQueries({ type: 'active' });
    else {
      client.clear();
      await outbox.forgetRead();
      window.location.assign('/');
    }
  };
  return (
    <Modal
      opened
      onClose={() => {}}
      withCloseButton={false}
      closeOnEscape={false}
      closeOnClickOutside={false}
      title="Sign in again"
      centered
    >
      <p className="quiet">Your sign-in has run out. What you typed and recorded is still here.</p>
      <EnterForm welcome={welcome} name={was.name} onEntered={entered} />
    </Modal>
  );
}

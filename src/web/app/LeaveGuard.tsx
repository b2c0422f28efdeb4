import { Button, Modal } from 'antd';
import { useEffect } from 'react';
import { useBlocker } from 'react-router';
import { unsavedWords, useUnsavedWords } from './unsaved.ts';

/** Asks before something that is not saved yet is left behind. */
export function LeaveGuard() {
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      unsavedWords() !== null && currentLocation.pathname !== nextLocation.pathname,
  );
  const words = useUnsavedWords();
  useEffect(() => {
    // The form was being saved when the link was pressed, and has been saved since.
    if (blocker.state === 'blocked' && words === null) blocker.proceed();
  }, [blocker, words]);
  useEffect(() => {
    const hold = (event: BeforeUnloadEvent) => {
      if (unsavedWords() !== null) event.preventDefault();
    };
    window.addEventListener('beforeunload', hold);
    return () => window.removeEventListener('beforeunload', hold);
  }, []);
  return (
    <Modal
      open={blocker.state === 'blocked'}
      title="Leave without saving?"
      // Closed while it still opens, a moving dialog can miss the end of its motion and stay over the page.
      transitionName=""
      maskTransitionName=""
      onCancel={() => blocker.reset?.()}
      footer={[
        <Button key="leave" onClick={() => blocker.proceed?.()}>
          Leave without saving
        </Button>,
        <Button key="stay" type="primary" onClick={() => blocker.reset?.()}>
          Stay
        </Button>,
      ]}
    >
      <p>{words}</p>
    </Modal>
  );
}

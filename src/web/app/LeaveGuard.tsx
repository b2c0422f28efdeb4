import { Button, Modal } from 'antd';
import { useEffect } from 'react';
import { useBlocker } from 'react-router';

/** Asks before something that is not saved yet is left behind. */
export function LeaveGuard({
  isUnsaved,
  what = 'What you tried on this bed is not saved yet.',
}: {
  isUnsaved: boolean;
  what?: string;
}) {
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => isUnsaved && currentLocation.pathname !== nextLocation.pathname,
  );
  useEffect(() => {
    if (!isUnsaved) return undefined;
    const hold = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', hold);
    return () => window.removeEventListener('beforeunload', hold);
  }, [isUnsaved]);
  return (
    <Modal
      open={blocker.state === 'blocked'}
      title="Leave without saving?"
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
      <p>{what}</p>
    </Modal>
  );
}

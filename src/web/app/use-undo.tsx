import { App, Button } from 'antd';
import { useFailureNotice } from './use-failure-notice.tsx';

const SECONDS_TO_UNDO = 12;

/** Says what was done and offers to undo it; says so if that fails, and offers it again. */
export function useUndo(): (done: string, undo: () => Promise<unknown>) => void {
  const { notification } = App.useApp();
  const showFailure = useFailureNotice();
  return (done, undo) => {
    const key = `undo ${Date.now()}`;
    const takeBack = () => {
      notification.destroy(key);
      undo().catch((failure: unknown) => showFailure('It was not undone.', failure, takeBack));
    };
    notification.open({
      key,
      title: done,
      placement: 'bottomLeft',
      duration: SECONDS_TO_UNDO,
      actions: (
        <Button size="small" onClick={takeBack}>
          Undo
        </Button>
      ),
    });
  };
}

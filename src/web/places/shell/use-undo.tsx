import { App, Button } from 'antd';

const SECONDS_TO_UNDO = 12;

/** Says what was done and offers to take it back. */
export function useUndo(): (done: string, undo: () => void) => void {
  const { notification } = App.useApp();
  return (done, undo) => {
    const key = `undo ${Date.now()}`;
    notification.open({
      key,
      title: done,
      placement: 'bottomLeft',
      duration: SECONDS_TO_UNDO,
      actions: (
        <Button
          size="small"
          onClick={() => {
            notification.destroy(key);
            undo();
          }}
        >
          Undo
        </Button>
      ),
    });
  };
}

import { App, Button } from 'antd';
import { sentencesOf } from '../api/failures.ts';

const SECONDS_TO_READ = 12;

/**
 * Says at the edge of the page what failed and why, for acts that have no place of their own to say it; what can be
 * tried again is offered.
 */
export function useFailureNotice(): (what: string, failure: unknown, again?: () => void) => void {
  const { notification } = App.useApp();
  return (what, failure, again) => {
    const key = `failure ${Date.now()}`;
    const tryAgain = () => {
      notification.destroy(key);
      again?.();
    };
    notification.error({
      key,
      title: what,
      description: Object.values(sentencesOf(failure)).join(' ') || 'Try again; the books are as they were.',
      placement: 'bottomLeft',
      duration: SECONDS_TO_READ,
      actions: again && (
        <Button size="small" onClick={tryAgain}>
          Try again
        </Button>
      ),
    });
  };
}

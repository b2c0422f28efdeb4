import { App } from 'antd';
import { sentencesOf } from '../../api/failures.ts';

const SECONDS_TO_READ = 12;

/** Says at the edge of the page what failed and why, for acts that have no place of their own to say it. */
export function useFailureNotice(): (what: string, failure: unknown) => void {
  const { notification } = App.useApp();
  return (what, failure) =>
    notification.error({
      title: what,
      description: Object.values(sentencesOf(failure)).join(' ') || 'Try again; the books are as they were.',
      placement: 'bottomLeft',
      duration: SECONDS_TO_READ,
    });
}

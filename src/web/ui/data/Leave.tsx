import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { sessionQuery, useLeave } from '../../api/data.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';

/** Where a passphrase is needed, one can leave too. */
export function Leave() {
  const { data } = useQuery(sessionQuery());
  const leave = useLeave();
  const showFailure = useFailureNotice();
  if (!data?.isNeeded) return null;
  return (
    <Button
      type="text"
      loading={leave.isPending}
      onClick={() => leave.mutate(null, { onError: (failure) => showFailure('You have not left.', failure) })}
    >
      Leave these books
    </Button>
  );
}

import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { backupsQuery } from '../api/data.ts';

/** Said on every page while the file of the books is not sound. */
export function FileState({ gardenId }: { gardenId: string }) {
  const { data } = useQuery(backupsQuery());
  if (!data || data.state.kind === 'sound') return null;
  return (
    <p className="file-state" role="alert">
      {data.state.kind === 'damaged'
        ? 'The file of the books is damaged, so nothing is written into it. '
        : 'The file of the books cannot be written to: the disk is full, or it may only be read. '}
      <Link to={`/garden/${gardenId}/data`}>
        Save what can be read{data.state.kind === 'damaged' ? ', and restore a backup' : ''}
      </Link>
      .
    </p>
  );
}

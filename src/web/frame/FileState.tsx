import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { counted } from '../../words/counted.ts';
import { backupsQuery } from '../api/data.ts';
import { useVisitor } from '../app/visitor.ts';

const STATE_WORDS = {
  damaged: 'The file of the books is damaged, so nothing is written into it.',
  readOnly: 'The file of the books cannot be written to: the disk is full, or it may only be read.',
  replaced:
    'The file of the books was moved, deleted or replaced while Vine Ledger had it open, so nothing more is written.',
  overwritten:
    'Another program has written into the file of the books, so nothing more is written. Do not trust what is shown.',
} as const;

const WAYS_OUT = {
  damaged: 'Save what can be read, and restore a backup',
  readOnly: 'Save what can be read',
  replaced: 'Save what can be read',
  overwritten: 'Restore a backup',
} as const;

const lostWords = (lostRows: number): string =>
  lostRows === 0
    ? 'Every record in it could be read.'
    : `At least ${counted(lostRows, 'record')} in it could not be read; the others are here.`;

/** Said on every page while the file of the books is not sound. */
export function FileState({ gardenId }: { gardenId: string }) {
  const isKeeper = useVisitor()?.role === 'keeper';
  const { data } = useQuery({ ...backupsQuery(), enabled: isKeeper });
  if (!data || data.state.kind === 'sound') return null;
  return (
    <p className="file-state" role="alert">
      {STATE_WORDS[data.state.kind]}{' '}
      {data.state.lostRows !== undefined && `${lostWords(data.state.lostRows)} `}
      <Link to={`/garden/${gardenId}/data`}>{WAYS_OUT[data.state.kind]}</Link>.
    </p>
  );
}

import { useQuery } from '@tanstack/react-query';
import { Popconfirm, Button } from 'antd';
import { bytesWords } from '../../../words/figures.ts';
import { counted } from '../../../words/counted.ts';
import { roomQuery, useDropUnshownPhotos } from '../../api/data.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';

/** What takes room on the disk, and what of it can be let go. */
export function RoomTaken({ gardenId }: { readonly gardenId: string }) {
  const { data: room } = useQuery(roomQuery(gardenId));
  const drop = useDropUnshownPhotos(gardenId);
  const showFailure = useFailureNotice();
  if (!room) return null;
  const { booksBytes, photos, unshown, backups, putAside } = room;
  return (
    <section aria-label="What takes room">
      <div className="section-head">
        <h2>What takes room</h2>
      </div>
      <ul className="plain-list">
        <li>
          Books of all gardens: <span className="figure">{bytesWords(booksBytes)}</span>
        </li>
        <li>
          Photos of this garden: <span className="figure">{bytesWords(photos.bytes)}</span>
          {photos.count > 0 && <span className="soft">, {counted(photos.count, 'photo')}</span>}
        </li>
        {unshown.count > 0 && (
          <li>
            Of them shown nowhere, by no line of the log and none that was deleted in the last 90 days:{' '}
            <span className="figure">{bytesWords(unshown.bytes)}</span>{' '}
            <Popconfirm
              title={`Delete ${counted(unshown.count, 'photo')}?`}
              description="They stay in the backups that hold them, and cannot be restored otherwise."
              okText="Delete"
              cancelText="Cancel"
              onConfirm={() =>
                drop.mutate(null, {
                  onError: (failure) => showFailure('The photos were not deleted.', failure),
                })
              }
            >
              <Button size="small" loading={drop.isPending}>
                Delete {counted(unshown.count, 'photo')}
              </Button>
            </Popconfirm>
          </li>
        )}
        <li>
          Backups: <span className="figure">{bytesWords(backups.bytes)}</span>
          {backups.count > 0 && <span className="soft">, {counted(backups.count, 'copy', 'copies')}</span>}
        </li>
        {putAside.count > 0 && (
          <li>
            Put aside when the file was damaged or brought up to date:{' '}
            <span className="figure">{bytesWords(putAside.bytes)}</span>
            <span className="soft">, {counted(putAside.count, 'copy', 'copies')}</span>
          </li>
        )}
      </ul>
      <p className="soft">
        What you delete can be restored for 90 days. Then it goes for good, with photos shown nowhere and
        copies put aside; backups keep what they hold.
      </p>
    </section>
  );
}

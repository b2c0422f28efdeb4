import { Button } from 'antd';
import { Link } from 'react-router';
import { useRestoreGarden } from '../../api/gardens.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { fullDate, dayOf } from '../../../words/dates.ts';

export interface DeletedGarden {
  readonly id: string;
  readonly name: string;
  /** An instant. */
  readonly deletedAt: string;
}

/** Gardens that were deleted: nothing of them is gone, and each can be restored. */
export function DeletedGardens({ deleted }: { deleted: readonly DeletedGarden[] }) {
  if (deleted.length === 0) return null;
  return (
    <section aria-label="Deleted gardens">
      <h3>Deleted</h3>
      <ul className="plain-list">
        {deleted.map((garden) => (
          <DeletedLine key={garden.id} garden={garden} />
        ))}
      </ul>
    </section>
  );
}

function DeletedLine({ garden: { id, name, deletedAt } }: { garden: DeletedGarden }) {
  const restore = useRestoreGarden();
  const showFailure = useFailureNotice();
  return (
    <li>
      <span translate="no">{name}</span>, deleted on {fullDate(dayOf(deletedAt.slice(0, 10)))}{' '}
      {restore.isSuccess ? (
        <Link to={`/garden/${id}`}>It is back: open it</Link>
      ) : (
        <Button
          size="small"
          loading={restore.isPending}
          onClick={() =>
            restore.mutate(id, {
              onError: (failure) => showFailure(`${name} was not restored.`, failure),
            })
          }
        >
          Restore
        </Button>
      )}
    </li>
  );
}

import { useQuery } from '@tanstack/react-query';
import { Button, Popconfirm } from 'antd';
import { Link, useNavigate } from 'react-router';
import type { GardenRecord } from '../../../records/garden.ts';
import { useCopyGarden } from '../../api/data.ts';
import { gardensQuery, useRemoveGarden, useRestoreGarden } from '../../api/gardens.ts';
import { useReadAgain } from '../../api/use-write.ts';
import { DeletedGardens } from '../../ui/garden/DeletedGardens.tsx';
import { DEMO_GARDEN_ID } from '../../ui/guide/demo-garden.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { useUndo } from '../../app/use-undo.tsx';

/** All gardens in these books: opened, begun, copied, deleted. */
export function Gardens({ gardenId }: { gardenId: string }) {
  const { data } = useQuery(gardensQuery());
  return (
    <section aria-label="Gardens in these books">
      <div className="section-head">
        <h2>Gardens in these books</h2>
        <Link to="/welcome">Begin another garden</Link>
      </div>
      <ul className="plain-list">
        {data?.gardens.map((garden) => (
          <GardenLine
            key={garden.id}
            garden={garden}
            isOpen={garden.id === gardenId}
            next={data.gardens.find(({ id }) => id !== garden.id)?.id}
          />
        ))}
      </ul>
      {data && <DeletedGardens deleted={data.deleted} />}
    </section>
  );
}

interface GardenLineProps {
  readonly garden: GardenRecord;
  readonly isOpen: boolean;
  /** Id of the garden that opens when this one is deleted. */
  readonly next: string | undefined;
}

function GardenLine({ garden, isOpen, next }: GardenLineProps) {
  const { id, name } = garden;
  const remove = useRemoveGarden();
  const restore = useRestoreGarden();
  const copy = useCopyGarden();
  const navigate = useNavigate();
  const readAgain = useReadAgain();
  const offerUndo = useUndo();
  const showFailure = useFailureNotice();
  const takeOut = () =>
    remove.mutate(garden, {
      onSuccess: () => {
        if (isOpen) void navigate(next === undefined ? '/welcome' : `/garden/${next}`);
        void readAgain();
        offerUndo(`${name} is deleted.`, () => restore.mutateAsync(id));
      },
      onError: (failure) => showFailure(`${name} was not deleted.`, failure),
    });
  const copyIt = (isTemplate: boolean) =>
    copy.mutate(
      { garden, isTemplate },
      {
        onSuccess: ({ gardenId }) => void navigate(`/garden/${gardenId}`),
        onError: (failure) => showFailure(`${name} was not copied.`, failure),
      },
    );
  return (
    <li>
      {isOpen ? <strong>{name}, open</strong> : <Link to={`/garden/${id}`}>{name}</Link>}
      <Popconfirm
        title={`Delete ${name}?`}
        description={
          id === DEMO_GARDEN_ID
            ? 'You can make it again at any time.'
            : 'With all its beds and records. It stays listed here, and can be restored.'
        }
        okText="Delete"
        cancelText="Cancel"
        onConfirm={takeOut}
      >
        <Button size="small" type="link" loading={remove.isPending}>
          Delete
        </Button>
      </Popconfirm>
      <Button size="small" type="link" loading={copy.isPending} onClick={() => copyIt(false)}>
        Copy
      </Button>
      <Button size="small" type="link" disabled={copy.isPending} onClick={() => copyIt(true)}>
        Copy without what was done
      </Button>
    </li>
  );
}

import { useState } from 'react';
import type { LotRecord } from '../../../records/lot.ts';
import type { MovementRecord } from '../../../records/movement.ts';
import type { StockPosting } from '../../../contract/requests.ts';
import { sentencesOf } from '../../api/failures.ts';
import { usePostStock, useTakeBack } from '../../api/stock.ts';
import { useUndo } from '../../app/use-undo.tsx';

export interface Posted {
  readonly lots: readonly LotRecord[];
  readonly movements: readonly MovementRecord[];
}

const bare = (field: string): string => field.replace(/^(movements|changes|lots|materials)\.\d+\./, '');

/** Sentences by the fields as the form calls them: of the one posting it writes. */
export const fieldsOfOne = (sentences: Record<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(sentences).map(([field, sentence]) => [bare(field), sentence]));

/** Writes into the stock all or nothing, offers to undo it, and keeps what was wrong by field. */
export function useStockPost(gardenId: string) {
  const post = usePostStock(gardenId);
  const takeBack = useTakeBack(gardenId);
  const offerUndo = useUndo();
  const [troubles, setTroubles] = useState<Record<string, string>>({});

  const send = (posting: StockPosting, done: string, onDone: (posted: Posted) => void) => {
    setTroubles({});
    post.mutate(posting, {
      onSuccess: (posted) => {
        offerUndo(done, () => takeBack.mutateAsync(posted));
        onDone(posted);
      },
      onError: (failure) => setTroubles(fieldsOfOne(sentencesOf(failure))),
    });
  };
  return { send, troubles, isSaving: post.isPending };
}

/** Sentences about fields a form has no place for, and those about none. */
export function otherTroubles(troubles: Record<string, string>, shown: readonly string[]): string[] {
  return Object.entries(troubles)
    .filter(([field]) => !shown.includes(field))
    .map(([, sentence]) => sentence);
}

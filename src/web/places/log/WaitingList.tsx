import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { observationLine } from '../../../words/journal-words.ts';
import type { Measures } from '../../../words/measures.ts';
import type { Parcel } from '../../outbox/outbox.ts';
import type { useOutbox } from '../../outbox/use-outbox.ts';

interface WaitingListProps {
  readonly outbox: ReturnType<typeof useOutbox>;
}

/** What is still on this device: waiting for the connection, or refused and why. */
export function WaitingList({ outbox }: WaitingListProps) {
  const books = useBooks();
  const measures = useMeasures();
  const own = outbox.parcels.filter(({ gardenId }) => gardenId === books.garden.id);
  if (own.length === 0) return null;
  const waiting = own.filter(({ refusal }) => refusal === null).length;
  return (
    <section className="waiting" aria-label="Waiting on this device">
      <p>
        <strong>
          {waiting > 0
            ? `${waiting} waiting on this device for the connection.`
            : 'The books refused something; it is still here.'}
        </strong>{' '}
        {waiting > 0 && (
          <Button size="small" onClick={() => void outbox.flush()}>
            Send now
          </Button>
        )}
      </p>
      <ul>
        {own.map((parcel) => (
          <li key={parcel.id}>
            {parcelWords(parcel, books, measures)}
            {parcel.refusal !== null && (
              <>
                <span className="field-trouble" role="alert">
                  {' '}
                  {parcel.refusal}
                </span>
                <Button size="small" type="link" onClick={() => void outbox.retry(parcel.id)}>
                  Try again
                </Button>
                <Button size="small" type="link" onClick={() => void outbox.discard(parcel.id)}>
                  Discard
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function parcelWords(parcel: Parcel, books: GardenBooks, measures: Measures): string {
  const bedName = (bedId: string) => books.beds.find(({ id }) => id === bedId)?.name ?? 'a bed';
  switch (parcel.type) {
    case 'photo':
      return 'A photo';
    case 'entry':
      return `${bedName(parcel.bedId)}: ${parcel.draft.type === 'water' ? 'watering' : 'soil test'} of ${parcel.draft.date}`;
    case 'journal':
      return parcel.record.kind === 'observation'
        ? `${bedName(parcel.record.bedId)}: ${observationLine(parcel.record, measures)}`
        : 'A record';
  }
}

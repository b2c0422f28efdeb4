import { useQuery } from '@tanstack/react-query';
import type { EarlierVersion } from '../../../contract/log-history.ts';
import { dayOf, instantWords, shortDate } from '../../../words/dates.ts';
import { wordsOfLogged, type LoggedRecord, type LogLine } from '../../../words/log-lines.ts';
import { logHistoryQuery } from '../../api/log-history.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useSignatures } from '../../ui/log/use-signatures.ts';

const dateOf = ({ record }: EarlierVersion): string =>
  'date' in record ? record.date : 'plantedOn' in record ? record.plantedOn : '';

/** What a line said before it was changed, the last time first. */
export function LineHistory({ line: { book, record } }: { readonly line: LogLine }) {
  const books = useBooks();
  const measures = useMeasures();
  const signatures = useSignatures();
  const { data, error } = useQuery(logHistoryQuery({ gardenId: books.garden.id, book, record }));
  if (error) return <p className="field-trouble">{error.message}</p>;
  if (!data) return <p className="soft">Looking it up …</p>;
  if (data.earlier.length === 0) return <p className="soft">Its words were never changed.</p>;
  return (
    <ul className="line-history" aria-label="What it said before">
      {data.earlier.map((earlier) => {
        const logged = { book, record: earlier.record } as LoggedRecord;
        const signer = signatures.find(
          (one) => one.book === book && one.id === record.id && one.version === earlier.record.version,
        )?.name;
        return (
          <li key={earlier.replacedAt}>
            Until {instantWords(earlier.replacedAt)}: {shortDate(dayOf(dateOf(earlier)))},{' '}
            {wordsOfLogged(logged, books, measures) ?? 'planned, not yet done'}
            {earlier.record.note !== '' && <span className="soft"> {earlier.record.note}</span>}
            {signer !== undefined && <span className="soft"> (by {signer})</span>}
          </li>
        );
      })}
    </ul>
  );
}

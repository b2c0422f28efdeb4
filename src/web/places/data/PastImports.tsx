import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { importsQuery, useUndoImport } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';
import { instantWords } from '../../../words/dates.ts';

/** What was imported; each import can be undone. */
export function PastImports({ gardenId }: { gardenId: string }) {
  const { data } = useQuery(importsQuery(gardenId));
  const undo = useUndoImport();
  if (!data || data.imports.length === 0) return null;
  return (
    <section aria-label="Past imports">
      <div className="section-head">
        <h2>Past imports</h2>
      </div>
      <ul className="plain-list data-imports">
        {data.imports.map(({ id, at, summary, undoneAt }) => (
          <li key={id}>
            <span>
              {instantWords(at)}: {summary}
            </span>
            {undoneAt === null ? (
              <Button
                size="small"
                loading={undo.isPending && undo.variables === id}
                onClick={() => undo.mutate(id)}
              >
                Undo import
              </Button>
            ) : (
              <span className="soft">undone {instantWords(undoneAt)}</span>
            )}
          </li>
        ))}
      </ul>
      {Object.values(sentencesOf(undo.error)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}

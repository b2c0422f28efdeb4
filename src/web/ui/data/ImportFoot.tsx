import { Button } from 'antd';
import { Link } from 'react-router';
import type { ImportReport } from '../../../contract/imports.ts';
import { useUndoImport } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';

interface ImportFootProps {
  readonly report: ImportReport | null;
  /** Why it cannot even be tried; null when it can. */
  readonly hindrance: string | null;
  readonly isBusy: boolean;
  readonly failure: unknown;
  readonly gardenId: string | null;
  readonly onTry: () => void;
  readonly onRead: () => void;
}

/** Try it, import it, undo it. */
export function ImportFoot({ report, hindrance, isBusy, failure, gardenId, onTry, onRead }: ImportFootProps) {
  const undo = useUndoImport();
  const isClean = report !== null && report.counts.rejected === 0;
  const changes = report ? report.counts.added + report.counts.changed : 0;
  if (report?.isWritten) {
    return (
      <div className="band-foot" role="status">
        <span className="status status-good">
          {undo.isSuccess
            ? 'Undone: everything is as before.'
            : changes === 0
              ? 'Nothing to do: all of it was in the books already.'
              : `Done: ${report.counts.added} added, ${report.counts.changed} changed.`}
        </span>
        {report.importId !== null && !undo.isSuccess && (
          <Button loading={undo.isPending} onClick={() => undo.mutate(report.importId!)}>
            Undo import
          </Button>
        )}
        {report.gardenId !== gardenId && !undo.isSuccess && (
          <Link to={`/garden/${report.gardenId}`}>Open {report.gardenName}</Link>
        )}
        {Object.values(sentencesOf(undo.error)).map((sentence) => (
          <span key={sentence} className="field-trouble" role="alert">
            {sentence}
          </span>
        ))}
      </div>
    );
  }
  return (
    <div className="band-foot">
      <Button
        type={isClean ? 'default' : 'primary'}
        disabled={hindrance !== null}
        loading={isBusy && !isClean}
        onClick={onTry}
      >
        Try it
      </Button>
      <Button
        type={isClean ? 'primary' : 'default'}
        disabled={!isClean || hindrance !== null}
        loading={isBusy && isClean}
        onClick={onRead}
      >
        Import
      </Button>
      <span className={hindrance === null ? 'soft' : 'field-trouble'}>
        {hindrance ??
          (report === null
            ? 'Trying it writes nothing.'
            : isClean
              ? 'All of it can be imported. You can undo that afterwards.'
              : 'First correct or leave out what cannot be imported.')}
      </span>
      {Object.values(sentencesOf(failure)).map((sentence) => (
        <span key={sentence} className="field-trouble" role="alert">
          {sentence}
        </span>
      ))}
    </div>
  );
}

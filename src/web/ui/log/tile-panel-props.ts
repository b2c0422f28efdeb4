import type { LogTile } from '../../drawing/log-icons.tsx';
import type { LogBook, LogSubject } from './use-log-book.ts';

export interface TilePanelProps {
  readonly tile: LogTile;
  readonly subject: LogSubject;
  /** The layer that is looked at; the newest when it is not said. */
  readonly layerId?: string | null;
  readonly book: LogBook;
  readonly onDone: () => void;
}

import type { LogTile } from '../../drawing/log-icons.tsx';
import type { LogBook, LogSubject } from './use-log-book.ts';

export interface TilePanelProps {
  readonly tile: LogTile;
  readonly subject: LogSubject;
  readonly book: LogBook;
  readonly onDone: () => void;
}

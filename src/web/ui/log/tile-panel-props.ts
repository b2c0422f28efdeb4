import type { Measures } from '../../../words/measures.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { LogSubject, LogBook } from './use-log-book.ts';
import type { LogTile } from '../../drawing/log-icons.tsx';
export interface TilePanelProps {
  readonly tile: LogTile;
  readonly subject: LogSubject;
  readonly books: GardenBooks;
  readonly measures: Measures;
  readonly book: LogBook;
  readonly onDone: () => void;
}

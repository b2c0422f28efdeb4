import type { Access } from './access.ts';
import type { BooksFile } from './db/books-file.ts';
import type { Hono } from 'hono';
import type { InstrumentAddresses } from './instruments.ts';
import type { PhotoFiles } from './photos/photo-files.ts';
import type { HeavyThread } from './heavy-thread.ts';
import type { GardenThread } from './ahead/garden-thread.ts';
import type { WorkedAhead } from './ahead/work-ahead.ts';
import type { BooksSender } from './sent-books.ts';
import type { ImportThread } from './imports/import-asked.ts';
import type { Stores } from './stores.ts';

/** What the routes work with; everything that differs between a test and a real evening is in here. */
export interface AppContext {
  readonly stores: Stores;
  /** The file behind the stores. */
  readonly books: Pick<
    BooksFile,
    | 'state'
    | 'noteDamage'
    | 'bytes'
    | 'putAside'
    | 'backUp'
    | 'backups'
    | 'check'
    | 'restore'
    | 'secondPlace'
    | 'workOnCopy'
  >;
  /** Who may come in; absent when only this machine can. */
  readonly access?: Access | undefined;
  /** Whether a proxy is believed in who asks, and whether by https. */
  readonly trustsProxy?: boolean;
  /** Names and addresses by which this server may be called; those of this machine always are. */
  readonly hosts?: readonly string[];
  /** Today in the garden, ISO date. */
  readonly today: () => string;
  readonly newId: () => string;
  /** Pictures beside the database. */
  readonly photoFiles: PhotoFiles;
  readonly sendBooks: BooksSender;
  /** Works out whole gardens away from everybody else. */
  readonly gardens: HeavyThread<GardenThread>;
  /** Answers about gardens that are there before anybody asks. */
  readonly ahead: WorkedAhead;
  /** Reads large files in away from everybody else. */
  readonly imports: ImportThread;
  /** A scale, a probe, a soil laboratory and a weather station, where there are some. */
  readonly instruments?: InstrumentAddresses;
  /** Adds the built pages after the interface; absent when there are none. */
  readonly servePages?: (app: Hono) => void;
}

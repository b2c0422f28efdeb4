import type { Hono } from 'hono';
import type { InstrumentAddresses } from './instruments.ts';
import type { PhotoFiles } from './photos/photo-files.ts';
import type { Stores } from './stores.ts';

/** What the routes work with; everything that differs between a test and a real evening is in here. */
export interface AppContext {
  readonly stores: Stores;
  /** Today in the garden, ISO date. */
  readonly today: () => string;
  readonly newId: () => string;
  /** Pictures beside the database. */
  readonly photoFiles: PhotoFiles;
  /** A scale, a probe and a soil laboratory, where there are some. */
  readonly instruments?: InstrumentAddresses;
  /** Adds the built pages after the interface; absent when there are none. */
  readonly servePages?: (app: Hono) => void;
}

import { serve } from '@hono/node-server';
import { isIP } from 'node:net';
import { openBooksServer } from './books-server.ts';
import { readOptions } from './options.ts';

/** So long requests that have begun may still be answered when the server ends. */
const LAST_ANSWERS_MS = 2000;

/**
 * A connection that rests stays open longer than proxies keep theirs (a minute, as a rule): who closes first may cut off
 * a request that is just setting out.
 */
const RESTING_CONNECTION_MS = 75_000;

/** Books, photos and backups are for whoever keeps them, and for nobody else on the machine. */
const FOR_THE_OWNER_ALONE = 0o077;

function main(): void {
  process.umask(FOR_THE_OWNER_ALONE);
  const options = readOptions(process.argv.slice(2));
  const books = openBooksServer(options);
  const place = { hostname: options.host, port: options.port };
  const serverOptions = { keepAliveTimeout: RESTING_CONNECTION_MS };
  const server = serve({ fetch: books.app.fetch, ...place, serverOptions }, (address) => {
    const host = isIP(options.host) === 6 ? `[${options.host}]` : options.host;
    console.log(`listening on http://${host}:${address.port}`);
  });
  const close = () => {
    server.close(() => {
      books.close();
      process.exit(0);
    });
    // Browsers open connections in advance and send nothing through them: those would be waited for.
    setTimeout(
      () => 'closeAllConnections' in server && server.closeAllConnections(),
      LAST_ANSWERS_MS,
    ).unref();
  };
  process.on('SIGINT', close);
  process.on('SIGTERM', close);
}

try {
  main();
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}

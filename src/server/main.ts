import { serve } from '@hono/node-server';
import { isIP } from 'node:net';
import { openBooksServer } from './books-server.ts';
import { readOptions } from './options.ts';

function main(): void {
  const options = readOptions(process.argv.slice(2));
  const books = openBooksServer(options);
  const server = serve({ fetch: books.app.fetch, hostname: options.host, port: options.port }, (address) => {
    const host = isIP(options.host) === 6 ? `[${options.host}]` : options.host;
    console.log(`listening on http://${host}:${address.port}`);
  });
  const close = () =>
    server.close(() => {
      books.close();
      process.exit(0);
    });
  process.on('SIGINT', close);
  process.on('SIGTERM', close);
}

try {
  main();
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}

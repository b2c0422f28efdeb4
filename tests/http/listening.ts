import { serve, type ServerType } from '@hono/node-server';
import type { Hono } from 'hono';
import type { AddressInfo } from 'node:net';

const open: ServerType[] = [];

/** Serves something that stands in on a free port; returns its address. */
export const listening = (app: { fetch: Hono['fetch'] }): Promise<string> =>
  new Promise((resolve) => {
    const server = serve({ fetch: app.fetch, hostname: '127.0.0.1', port: 0 }, (address: AddressInfo) =>
      resolve(`http://127.0.0.1:${address.port}`),
    );
    open.push(server);
  });

/** Ends all of them. */
export const endListening = (): void => {
  for (const one of open.splice(0)) one.close();
};

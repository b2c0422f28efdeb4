import { request } from 'node:http';

/** A request with headers and paths that fetch would put right. */
export function raw(
  address: string,
  method: string,
  path: string,
  headers: Record<string, string>,
  body = '',
) {
  const { hostname, port } = new URL(address);
  return new Promise<{ status: number; text: string; headers: Record<string, unknown> }>(
    (resolve, reject) => {
      const sent = request(
        { hostname, port, method, path, headers, setHost: !('host' in headers) },
        (answer) => {
          let text = '';
          answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
          answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text, headers: answer.headers }));
        },
      );
      sent.on('error', reject);
      sent.end(body);
    },
  );
}

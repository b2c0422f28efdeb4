import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { setPassphrase } from './access.ts';
import { passphraseFileOf, readOptions } from './options.ts';

/** Asks for the passphrase of the books, or takes it from a pipe. */
async function main(): Promise<void> {
  const { file } = readOptions(process.argv.slice(2));
  const lines = createInterface({ input: process.stdin, output: process.stdout, terminal: false });
  const isAsked = process.stdin.isTTY;
  if (isAsked) process.stdout.write('A new passphrase for these books, at least 12 characters: ');
  const [passphrase = ''] = await firstLine(lines);
  lines.close();
  mkdirSync(dirname(file), { recursive: true });
  await setPassphrase(passphraseFileOf(file), passphrase);
  console.log('The passphrase is set. Start Vine Ledger anew for it to count.');
}

async function firstLine(lines: AsyncIterable<string>): Promise<string[]> {
  for await (const line of lines) return [line];
  return [];
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});

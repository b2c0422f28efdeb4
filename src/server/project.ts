import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** The folder the program lies in, wherever in it this file or its bundle is. */
function projectFolder(): string {
  let folder = import.meta.dirname;
  while (!existsSync(join(folder, 'package.json'))) folder = dirname(folder);
  return folder;
}

export const PROJECT = projectFolder();

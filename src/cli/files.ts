import { readFileSync } from 'node:fs';
import { GARDEN_FILE_FORMAT, readGardenFile, type GardenFile } from '../contract/garden-file.ts';
import { UsageError } from './arguments.ts';

/** The text of a file; a dash reads standard input. */
export function readText(fileName: string): string {
  try {
    return readFileSync(fileName === '-' ? 0 : fileName, 'utf8');
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ERR_STRING_TOO_LONG') {
      throw new UsageError(
        `The file ${fileName} is larger than 512 MB: the terminal does not read so many photos. Import it on the page “Your data”.`,
      );
    }
    throw new UsageError(`The file ${fileName} cannot be read.`);
  }
}

export function readJson(fileName: string): unknown {
  const content = readText(fileName);
  try {
    return JSON.parse(content);
  } catch (error) {
    throw new UsageError(`${fileName} is not valid JSON: ${(error as Error).message}`);
  }
}

/** Garden files say what they are; scenario files do not. */
export const isGardenFile = (json: unknown): boolean =>
  typeof json === 'object' && json !== null && 'format' in json && json.format === GARDEN_FILE_FORMAT;

/** A garden file of any known version. Throws InputError for what cannot be. */
export const gardenIn = (json: unknown): GardenFile => readGardenFile(json);

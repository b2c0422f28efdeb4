import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { GARDEN } from '../../../tests/fixtures/books.ts';
import { newFolder, removeFolder } from '../../../tests/http/server.ts';
import { openBooks } from './books-file.ts';
import { DamagedFile } from './open.ts';
import { requireSoundCopy, UnlikeCopy } from './sound-copy.ts';

const folder = newFolder();
afterAll(() => removeFolder(folder));
const books = join(folder, 'books.sqlite');
const copyOf = (name: string) => {
  const copy = join(folder, name);
  copyFileSync(books, copy);
  return copy;
};

describe('a copy that was just made', () => {
  it('is good when every page holds and no record is missing', async () => {
    const open = openBooks({ file: books }, () => '2026-05-14T08:00:00.000Z');
    open.stores.gardens.insert(GARDEN);
    open.close();
    await expect(requireSoundCopy(copyOf('good.sqlite'), [1, () => 1])).resolves.toBeUndefined();
    // A record may be written while the copy is made.
    await expect(requireSoundCopy(copyOf('busy.sqlite'), [0, () => 2])).resolves.toBeUndefined();
  });
  it('is none when it holds fewer or more records than the books', async () => {
    await expect(requireSoundCopy(copyOf('few.sqlite'), [2, () => 2])).rejects.toThrow(
      /holds 1 records, the books 2/,
    );
    await expect(requireSoundCopy(copyOf('many.sqlite'), [0, () => 0])).rejects.toThrow(UnlikeCopy);
  });
  it('is none when its pages do not hold, or it is no database at all', async () => {
    const torn = copyOf('torn.sqlite');
    const bytes = readFileSync(torn);
    bytes.fill(0xa5, 8192, 65_536);
    writeFileSync(torn, bytes);
    await expect(requireSoundCopy(torn, [0, () => 9])).rejects.toThrow(DamagedFile);
    const rubbish = join(folder, 'rubbish.sqlite');
    writeFileSync(rubbish, 'once upon a time '.repeat(1000));
    await expect(requireSoundCopy(rubbish, [0, () => 9])).rejects.toThrow(DamagedFile);
    await expect(requireSoundCopy(join(folder, 'no', 'such.sqlite'), [0, () => 9])).rejects.not.toThrow(
      DamagedFile,
    );
  });
});

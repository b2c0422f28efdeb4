import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { goodBefore } from '../scripts/good-before.mjs';
import { newFolder, removeFolder } from './http/server.ts';

let folder: string;
const put = (name: string, content: string) => writeFileSync(join(folder, name), content);
const isGood = () => goodBefore(folder, 'types and lint').isGood;
const isNoProse = (name: string) => !name.endsWith('.md');

beforeEach(() => {
  folder = newFolder();
  spawnSync('git', ['init', '-q'], { cwd: folder });
  put('.gitignore', '.cache/\n');
  mkdirSync(join(folder, 'src'));
  put('src/bed.ts', 'export const areaM2 = 4;');
});
afterEach(() => removeFolder(folder));

describe('a check that was good', () => {
  it('is not known before it has been made, and is known afterwards', () => {
    expect(isGood()).toBe(false);
    goodBefore(folder, 'types and lint').keep();
    expect(isGood()).toBe(true);
    expect(goodBefore(folder, 'format').isGood).toBe(false);
  });

  it.each([
    ['another content', () => put('src/bed.ts', 'export const areaM2 = 5;')],
    ['a new file', () => put('src/path.ts', '')],
    ['a file that is gone', () => rmSync(join(folder, 'src/bed.ts'))],
    [
      'another name',
      () => {
        rmSync(join(folder, 'src/bed.ts'));
        put('src/beds.ts', 'export const areaM2 = 4;');
      },
    ],
  ])('is made again after %s', (_, change) => {
    spawnSync('git', ['add', '.'], { cwd: folder });
    goodBefore(folder, 'types and lint').keep();
    change();
    expect(isGood()).toBe(false);
  });

  it('is known again when a change was taken back, and after a change of what is not part of the project', () => {
    goodBefore(folder, 'types and lint').keep();
    put('src/bed.ts', 'export const areaM2 = 5;');
    put('src/bed.ts', 'export const areaM2 = 4;');
    put('.cache/answers', 'kept');
    expect(isGood()).toBe(true);
  });

  it('is known after a change of what it cannot read', () => {
    goodBefore(folder, 'types and lint', isNoProse).keep();
    put('notes.md', 'More chips.');
    expect(goodBefore(folder, 'types and lint', isNoProse).isGood).toBe(true);
    expect(isGood()).toBe(false);
  });

  it('is made again when something was changed while it was made', () => {
    const check = goodBefore(folder, 'types and lint');
    put('src/bed.ts', 'export const areaM2 = 5;');
    check.keep();
    expect(isGood()).toBe(false);
    put('src/bed.ts', 'export const areaM2 = 4;');
    expect(isGood()).toBe(false);
  });

  it.each([
    ['there is no git', () => rmSync(join(folder, '.git'), { recursive: true })],
    ['all of it lies in a folder that git ignores', () => put('.gitignore', '*\n')],
  ])('is made each time where %s', (_, change) => {
    change();
    goodBefore(folder, 'types and lint').keep();
    expect(isGood()).toBe(false);
  });
});

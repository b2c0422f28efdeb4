// What a check found good is not checked again until a file that it reads has changed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Names of all files that belong to the project, those not yet committed too; none where git cannot tell. */
function filesOf(folder) {
  const { status, stdout } = spawnSync(
    'git',
    ['ls-files', '-z', '--cached', '--others', '--exclude-standard'],
    { cwd: folder, encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 },
  );
  return status === 0 ? stdout.split('\0').filter(Boolean) : [];
}

/** One line that is another whenever a file, its name or Node.js is; null where git cannot tell what belongs to it. */
function fingerprintOf(folder, isRead) {
  const names = filesOf(folder);
  if (names.length === 0) return null;
  const hash = createHash('sha256').update(process.version);
  for (const name of names.filter(isRead).sort()) {
    const file = join(folder, name);
    const content = existsSync(file) ? readFileSync(file) : 'gone';
    hash.update(`\0${name}\0${content.length}\0`).update(content);
  }
  return hash.digest('hex');
}

/**
 * Remembers whether a check was good, in the project's own cache: a fresh copy of the project knows of nothing.
 * `isRead` tells by its name whether the check can read a file.
 */
export function goodBefore(folder, check, isRead = () => true) {
  const note = join(folder, '.cache', 'good', check.replaceAll(' ', '-'));
  const asked = fingerprintOf(folder, isRead);
  return {
    isGood: asked !== null && existsSync(note) && readFileSync(note, 'utf8') === asked,
    /** To be called when the check has been good. What was changed meanwhile is checked the next time. */
    keep() {
      if (asked === null || fingerprintOf(folder, isRead) !== asked) return;
      mkdirSync(dirname(note), { recursive: true });
      writeFileSync(note, asked);
    },
  };
}

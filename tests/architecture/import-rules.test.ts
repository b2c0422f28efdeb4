import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const PROJECT = join(import.meta.dirname, '..', '..');

describe('the import rules', () => {
  it('catch a planted import that breaks them', () => {
    const { status, stdout } = spawnSync(
      join(PROJECT, 'node_modules', '.bin', 'depcruise'),
      ['--config', join(PROJECT, '.dependency-cruiser.cjs'), 'src'],
      { cwd: join(import.meta.dirname, 'planted'), encoding: 'utf8' },
    );
    expect(stdout).toContain('core-imports');
    expect(status).not.toBe(0);
  });
});

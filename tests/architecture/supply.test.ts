import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

interface Bill {
  readonly bomFormat: string;
  readonly components: readonly { readonly name: string; readonly version: string; readonly purl: string }[];
}
const json = (file: string): unknown => JSON.parse(readFileSync(file, 'utf8'));

describe('what the product is built of', () => {
  it('is listed as CycloneDX by one command: every package that is shipped, in the version that is pinned', () => {
    const { stdout } = spawnSync('npm', ['run', '-s', 'sbom'], { encoding: 'utf8' });
    const bill = JSON.parse(stdout) as Bill;
    expect(bill.bomFormat).toBe('CycloneDX');
    const listed = bill.components.map(({ name, version }) => `${name}@${version}`);
    const { dependencies } = json('package.json') as { readonly dependencies: Record<string, string> };
    expect(listed).toEqual(
      expect.arrayContaining(Object.entries(dependencies).map(([name, version]) => `${name}@${version}`)),
    );
    expect(bill.components.every(({ purl }) => purl.startsWith('pkg:npm/'))).toBe(true);
  });
  it('runs nothing while it is installed but the two packages that are named', () => {
    const { packages } = json('package-lock.json') as {
      readonly packages: Record<string, { hasInstallScript?: boolean; optional?: boolean }>;
    };
    const running = Object.entries(packages)
      .filter(([, one]) => one.hasInstallScript === true && one.optional !== true)
      .map(([path]) => path.replace(/^.*node_modules\//, ''));
    const { allowScripts } = json('package.json') as { readonly allowScripts: Record<string, boolean> };
    expect(running.filter((name) => !allowScripts[name])).toEqual([]);
    expect(Object.keys(allowScripts).sort()).toEqual(['better-sqlite3', 'esbuild']);
  });
});

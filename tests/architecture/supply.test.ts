import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

interface Bill {
  readonly bomFormat: string;
  readonly components: readonly { readonly name: string; readonly version: string; readonly purl: string }[];
}
const json = <Value>(file: string): Value => JSON.parse(readFileSync(file, 'utf8')) as Value;

describe('what the product is built of', () => {
  it('is listed as CycloneDX by one command: every package that is shipped, in the version that is pinned', () => {
    const { stdout } = spawnSync('npm', ['run', '-s', 'sbom'], { encoding: 'utf8' });
    const bill = JSON.parse(stdout) as Bill;
    expect(bill.bomFormat).toBe('CycloneDX');
    const listed = bill.components.map(({ name, version }) => `${name}@${version}`);
    const { dependencies } = json<{ dependencies: Record<string, string> }>('package.json');
    expect(listed).toEqual(
      expect.arrayContaining(Object.entries(dependencies).map(([name, version]) => `${name}@${version}`)),
    );
    expect(bill.components.every(({ purl }) => purl.startsWith('pkg:npm/'))).toBe(true);
  });
  it('runs nothing while it is installed but the two packages that are named', () => {
    const { packages } = json<{
      packages: Record<string, { hasInstallScript?: boolean; optional?: boolean }>;
    }>('package-lock.json');
    const running = Object.entries(packages)
      .filter(([, one]) => one.hasInstallScript === true && one.optional !== true)
      .map(([path]) => path.replace(/^.*node_modules\//, ''));
    const { allowScripts } = json<{ allowScripts: Record<string, boolean> }>('package.json');
    expect(running.filter((name) => allowScripts[name] !== true)).toEqual([]);
    expect(Object.keys(allowScripts).sort()).toEqual(['better-sqlite3', 'esbuild']);
  });
});

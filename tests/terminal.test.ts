import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setImmediate as turn } from 'node:timers/promises';
import { afterAll, describe, expect, it } from 'vitest';
import { readScenarioFile } from '../src/contract/scenario-file.ts';
import { reportScenario } from '../src/contract/scenario-report.ts';

const PROJECT = join(import.meta.dirname, '..');
const SCENARIO = join(PROJECT, 'tests', 'reference', 'scenarios', '01_sawdust_dug.json');
const folder = mkdtempSync(join(tmpdir(), 'vine-ledger-cli-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const vine = (...args: string[]) =>
  spawnSync('npm', ['run', '-s', 'vine', '--', ...args], { cwd: PROJECT, encoding: 'utf8' });

interface ScenarioJson {
  soil: Record<string, unknown>;
  events: Record<string, unknown>[];
  [field: string]: unknown;
}

/** The first reference scenario with something wrong in it, as a file. */
function spoilt(spoil: (scenario: ScenarioJson) => void): string {
  const scenario = JSON.parse(readFileSync(SCENARIO, 'utf8')) as ScenarioJson;
  spoil(scenario);
  const file = join(folder, 'spoilt.json');
  writeFileSync(file, JSON.stringify(scenario));
  return file;
}

describe('the program of the terminal', () => {
  it('is whole at every moment while another command builds it', async () => {
    const program = join(PROJECT, '.cache', 'cli', 'main.mjs');
    const whole = readFileSync(program).length;
    const twice = `import('./scripts/serve.mjs').then((serve) => { serve.buildTerminal(); serve.buildTerminal(); })`;
    const building = spawn(process.execPath, ['-e', twice], { cwd: PROJECT });
    const ended = once(building, 'exit');
    const lengths = new Set<number>();
    while (building.exitCode === null) {
      lengths.add(readFileSync(program).length);
      await turn();
    }
    expect(await ended).toEqual([0, null]);
    expect([...lengths]).toEqual([whole]);
  });
});

describe('npm run -s vine -- completion', () => {
  const script = join(folder, 'completion.sh');
  const inBash = (command: string) =>
    spawnSync('bash', ['-c', `source '${script}'; ${command}`], { cwd: folder, encoding: 'utf8' }).stdout;
  /** What the tabulator key offers after these words; the last one is half typed. */
  const offered = (...words: string[]) => {
    const typed = words.map((word) => `'${word}'`).join(' ');
    const said = inBash(
      `COMP_WORDS=(vine ${typed}); COMP_CWORD=${words.length}; _vine; echo "\${COMPREPLY[@]}"`,
    );
    return said.trim().split(' ');
  };
  it('is a script that makes vine a command in any folder', () => {
    const { status, stdout } = vine('completion');
    expect(status).toBe(0);
    writeFileSync(script, stdout);
    expect(inBash('vine validate missing.json 2>&1')).toBe('The file missing.json cannot be read.\n');
  });
  it('completes commands, options of a command, words of an option, materials and files', () => {
    expect(offered('si')).toEqual(['simulate']);
    expect(offered('years', 'garden.json', '--h')).toEqual(['--habit', '--help']);
    expect(offered('char', '--temperature', 'm')).toEqual(['medium']);
    expect(offered('convert', '--table', 'plant')).toEqual(['plantings']);
    expect(offered('mix', 'straw_c')).toEqual(['straw_cereal=']);
    expect(offered('validate', 'completion')).toEqual(['completion.sh']);
    expect(offered('help', 'do')).toEqual(['doses']);
  });
});

describe('npm run -s vine -- simulate', () => {
  it('prints the report of a scenario as JSON, unrounded', () => {
    const { status, stdout } = vine('simulate', SCENARIO);
    expect(status).toBe(0);
    const report = JSON.parse(stdout) as Record<string, unknown>;
    expect(Object.keys(report)).toEqual(
      ['name', 'model', 'piles', 'supplement', 'ledger', 'final', 'weekly'].filter((key) => key in report),
    );
    expect(stdout).toMatch(/\d\.\d{12,}/);
  });

  it('stops without a word when its reader has read enough', () => {
    const command = `npm run -s vine -- simulate '${SCENARIO}' | head -n 1`;
    const { stdout, stderr } = spawnSync('bash', ['-o', 'pipefail', '-c', command], {
      cwd: PROJECT,
      encoding: 'utf8',
    });
    expect(stdout).toBe('{\n');
    expect(stderr).toBe('');
  });

  it('says in one sentence what cannot be, and exits with 2', () => {
    const { status, stdout, stderr } = vine(
      'simulate',
      spoilt(({ events }) => (events[0]['kg'] = -1)),
    );
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(/^events\.0\.kg must be greater than 0; got -1\.\n$/);
    expect(vine('simulate', 'no-such-file.json').status).toBe(2);
  });
});

describe('a scenario file with something wrong in it', () => {
  it.each<[string, (scenario: ScenarioJson) => void]>([
    ['events.0.kg', ({ events }) => (events[0]['kg'] = null)],
    ['events.0.kg', ({ events }) => (events[0]['kg'] = 1e9)],
    ['events.0.material', ({ events }) => (events[0]['material'] = 'moon_dust')],
    ['events.0.date', ({ events }) => (events[0]['date'] = '0001-01-01')],
    ['soil.som_pct', ({ soil }) => (soil['som_pct'] = 'four')],
    ['soil.clay', ({ soil }) => (soil['clay'] = 101)],
    ['params.k_moon', (scenario) => (scenario['params'] = { k_moon: 1 })],
    ['params.e', (scenario) => (scenario['params'] = { e: 2 })],
    ['end', (scenario) => (scenario['end'] = scenario['start'])],
    ['start', (scenario) => delete scenario['start']],
    ['report_every', (scenario) => (scenario['report_every'] = 0)],
  ])('names %s', (field, spoil) => {
    const scenario = JSON.parse(readFileSync(SCENARIO, 'utf8')) as ScenarioJson;
    spoil(scenario);
    const read = () => reportScenario(readScenarioFile(scenario));
    expect(read).toThrow(new RegExp(`^${field.replaceAll('.', '\\.')} `));
  });
});

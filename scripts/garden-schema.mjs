// npm run schema: writes the published JSON Schema of the garden file.
import { spawnSync } from 'node:child_process';
import { bin, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
const { status } = spawnSync(bin('tsx'), ['src/cli/garden-schema.ts'], { cwd: ROOT, stdio: 'inherit' });
process.exit(status ?? 1);

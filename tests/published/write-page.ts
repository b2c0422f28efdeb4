import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { validationPage } from './validation-page.ts';

writeFileSync(join(process.cwd(), 'docs/validation.md'), validationPage());

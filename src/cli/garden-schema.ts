import { writeFileSync } from 'node:fs';
import { gardenFileSchemaText } from '../contract/garden-file-schema.ts';

writeFileSync('docs/garden-file.schema.json', gardenFileSchemaText());

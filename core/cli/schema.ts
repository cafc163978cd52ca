import { writeFileSync } from 'node:fs';
import { format } from 'oxfmt';
import { toJsonSchema } from '@valibot/to-json-schema';
import { CutProblemSchema, JobSchema } from '../src';

/** Writes the published JSON Schemas from the ones the program itself checks with. `npm run schema`. */
const files = { 'job-12': JobSchema, 'cut-problem-1': CutProblemSchema } as const;
for (const [name, schema] of Object.entries(files)) {
  const path = `docs/formats/${name}.schema.json`;
  const text = JSON.stringify(toJsonSchema(schema, { errorMode: 'ignore', typeMode: 'input' }));
  const { code } = await format(path, text, { printWidth: 120 });
  writeFileSync(path, code);
}

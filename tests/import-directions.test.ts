import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

const eslint = new ESLint();
const refused = async (file: string, source: string) => {
  const [result] = await eslint.lintText(`import { x } from '${source}';\nexport const y = x;\n`, { filePath: file });
  return result!.messages.some(({ ruleId }) => ruleId === 'no-restricted-imports');
};

describe('import directions', () => {
  it.each([
    ['src/core/query/parse.ts', '$server/refusal'],
    ['src/core/query/parse.ts', '../../sources/source'],
    ['src/core/query/parse.ts', 'svelte'],
    ['src/core/query/parse.ts', 'node:fs'],
    ['src/core/query/parse.ts', 'sequelize'],
    ['src/sources/source.ts', '$server/refusal'],
    ['src/sources/source.ts', '$lib/api/call'],
    ['src/server/refusal.ts', '$lib/api/call'],
    ['src/lib/api/call.ts', '$server/services/briefs'],
    ['src/lib/api/call.ts', '$sources/source'],
    ['src/lib/api/call.ts', '$core/query/query'],
    ['src/server/refusal.ts', '$core/measure/wilson'],
    ['src/sources/source.ts', '$core/query/query'],
    ['src/routes/+page.ts', '$core/query/query'],
    ['src/routes/+page.ts', 'sequelize']
  ])('%s may not import %s', async (file, source) => expect(await refused(file, source)).toBe(true));

  it.each([
    ['src/core/query/parse.ts', './lex'],
    ['src/core/query/parse.ts', 'zod'],
    ['src/sources/source.ts', '$core/query'],
    ['src/server/refusal.ts', '$sources/source'],
    ['src/lib/api/call.ts', '$server/api/contract'],
    ['src/lib/api/call.ts', '$core/query'],
    ['src/routes/+page.ts', '$core']
  ])('%s may import %s', async (file, source) => expect(await refused(file, source)).toBe(false));
});

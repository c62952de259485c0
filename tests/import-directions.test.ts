import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

const eslint = new ESLint();
const refused = async (file: string, source: string) => {
  const [result] = await eslint.lintText(`import { x } from '${source}';\nexport const y = x;\n`, { filePath: file });
  return result!.messages.some(({ ruleId }) => ruleId === 'no-restricted-imports');
};

describe('import directions', () => {
  it.each([
    ['src/core/language/parse.ts', '$server/platform/refusal'],
    ['src/core/language/parse.ts', '../../sources/source'],
    ['src/core/language/parse.ts', 'svelte'],
    ['src/core/language/parse.ts', 'node:fs'],
    ['src/core/language/parse.ts', 'sequelize'],
    ['src/sources/source.ts', '$server/platform/refusal'],
    ['src/sources/source.ts', '$lib/api/call'],
    ['src/server/platform/refusal.ts', '$lib/api/call'],
    ['src/api/trials.ts', '$core/language'],
    ['src/api/trials.ts', '$core'],
    ['src/api/trials.ts', '$server/platform/refusal'],
    ['src/lib/api/call.ts', '$server/features/briefs'],
    ['src/lib/api/call.ts', '$sources/source'],
    ['src/lib/api/call.ts', '$core/language/query'],
    ['src/server/platform/refusal.ts', '$core/measure/wilson'],
    ['src/sources/source.ts', '$core/language/query'],
    ['src/routes/+page.ts', '$core/language/query'],
    ['src/routes/+page.ts', '$core'],
    ['src/routes/+page.ts', 'sequelize']
  ])('%s may not import %s', async (file, source) => expect(await refused(file, source)).toBe(true));

  it.each([
    ['src/core/language/parse.ts', './lex'],
    ['src/core/language/parse.ts', 'zod'],
    ['src/sources/source.ts', '$core/language'],
    ['src/server/platform/refusal.ts', '$sources/source'],
    ['src/lib/api/call.ts', '$api'],
    ['src/lib/api/call.ts', '$core/language'],
    ['src/routes/+page.ts', '$core/measure']
  ])('%s may import %s', async (file, source) => expect(await refused(file, source)).toBe(false));
});

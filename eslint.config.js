import js from '@eslint/js';
import globals from 'globals';
import regexp from 'eslint-plugin-regexp';
import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** Outside the core, a room of it is imported by its own index. The contract takes single files, so that it stays light. */
const throughRooms = (files) => {
  if (files[0].startsWith('src/core/')) return [];
  if (files[0].startsWith('src/api/'))
    return [{ regex: '^\\$core(/[^/]+)?$', message: 'Import a single schema, as $core/language/scopes.' }];
  return [{ regex: '^\\$core(/[^/]+/.*)?$', message: 'Import a room of the core by its index, as in $core/measure.' }];
};

/** Imports run one way only: routes → lib and server → sources → core (docs/architecture.md). */
const direction = (files, patterns, message) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: patterns, message }, ...throughRooms(files)] }] }
});
const outside = [
  '$lib',
  '$lib/*',
  '$app/*',
  '$server/*',
  'svelte',
  'svelte/*',
  '@sveltejs/*',
  'carbon-*',
  'sequelize',
  'pg',
  'umzug',
  'node:*'
];

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', '.data/', '.postgres/', 'node_modules/'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-empty-object-type': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-control-regex': 'off',
      'svelte/no-navigation-without-resolve': 'off'
    }
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig } },
    rules: { 'prefer-const': 'off', 'svelte/prefer-svelte-reactivity': 'off' }
  },
  {
    // What comes from outside may be made to take long: every expression reads it in linear time.
    files: ['src/**/*.ts', 'src/**/*.svelte', 'scripts/**/*.mjs'],
    ignores: ['**/*.test.ts'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'certain' }],
      'regexp/no-super-linear-move': ['error', { report: 'certain', ignoreSticky: false, ignorePartial: false }]
    }
  },
  {
    files: ['src/**/*.svelte'],
    rules: { 'max-lines': ['error', 300] }
  },
  {
    files: ['src/**/*.svelte'],
    // Drawn by hand: a part of the tree that is typed in place, and the ruler of depth.
    ignores: ['src/lib/string/tree/PartTree.svelte', 'src/lib/trial/sample/DepthRuler.svelte'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'SvelteElement[kind="html"][name.name=/^(button|input|select|textarea|details|progress|dialog)$/]',
          message: 'Every control is Carbon’s: take a piece of src/lib/ui, or a Carbon component.'
        }
      ],
      'no-restricted-globals': ['error', { name: 'confirm', message: 'Ask with a Modal.' }]
    }
  },
  direction(
    ['src/core/**/*.ts'],
    [...outside, '$sources/*', '$core/*', '**/sources/**', '**/server/**', '**/lib/**', '**/routes/**'],
    'The core imports nothing outside itself but small pure libraries.'
  ),
  direction(
    ['src/routes/**/*.ts', 'src/routes/**/*.svelte'],
    ['sequelize', 'pg', 'umzug'],
    'Pages and endpoints ask the services, which ask the database.'
  ),
  direction(
    ['src/sources/**/*.ts'],
    [...outside, '**/server/**', '**/lib/**', '**/routes/**'],
    'Sources import the core only.'
  ),
  // Asked over the net, or served to others.
  direction(
    ['src/sources/connector/**/*.ts', 'src/sources/served/**/*.ts'],
    [...outside.filter((name) => name !== 'node:*'), '**/server/**', '**/lib/**', '**/routes/**'],
    'Sources import the core only.'
  ),
  direction(
    ['src/api/**/*.ts'],
    [...outside, '$sources/*', '**/server/**', '**/lib/**', '**/routes/**'],
    'The contract imports schemas of the core only.'
  ),
  direction(
    ['src/server/**/*.ts'],
    ['$lib', '$lib/*', '$app/*', 'svelte', 'svelte/*', 'carbon-*', '**/routes/**'],
    'The server imports sources and core only.'
  ),
  {
    ...direction(
      ['src/lib/**/*.ts', 'src/lib/**/*.svelte'],
      ['**/routes/**', '$sources/*', 'sequelize', 'pg', 'umzug', 'node:*', '$server/*'],
      'The interface knows the server by its API contract only.'
    )
  }
);

import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import ts from 'typescript-eslint';

const deny = (patterns) => ({
  '@typescript-eslint/no-restricted-imports': ['error', { patterns }],
});
export default defineConfig(
  globalIgnores(['**/dist', 'scripts', '.tsbuild', '.data', 'server/drizzle', '**/*.mjs', '*.js', 'web/vite.config.ts', 'server/drizzle.config.ts']),
  {
    files: ['**/*.{ts,tsx}'],
    extends: [ts.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: {
        projectService: true,
        tsconfigRootDir: import.meta.dirname,
      },
    },
  },
  {
    files: ['core/src/**/*.ts'],
    rules: {
      ...deny([
        {
          regex:
            '^(?!\\.{1,2}/|zod$|stemmer$|fastest-levenshtein$|@internationalized/date$|fraction\\.js$|@jest/globals$|fast-check$|bayesjs$|suncalc$)',
          message: 'core may import only its own files and a few pure libraries: no React, Express, Node or database',
        },
      ]),
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage', 'Buffer'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }, { object: 'Date', property: 'now', message: 'pass the time in' }],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    extends: [hooks.configs.flat.recommended],
    rules: deny([{ group: ['node:*', 'express', 'pg', 'drizzle-orm*', '@app/server*'] }]),
  },
  {
    files: ['server/src/**/*.ts'],
    rules: deny([{ group: ['react', 'react-*', '@app/web*', 'styled-components'] }]),
  },
);

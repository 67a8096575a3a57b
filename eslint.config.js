import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import ts from 'typescript-eslint';

const deny = (patterns) => ({
  '@typescript-eslint/no-restricted-imports': ['error', { patterns }],
});

/** What `core` may import from outside. */
const PURE_LIBRARIES = {
  regex: '^(?!\\.{1,2}/|zod$|stemmer$|fastest-levenshtein$|@internationalized/date$|fraction\\.js$|@jest/globals$|fast-check$|bayesjs$|suncalc$)',
  message: 'core may import only its own files and a few pure libraries: no React, Express, Node or database',
};

/** Folders of `core` and those each may import: arrows one way. */
const CORE_FOLDERS = {
  edition: [],
  quantities: [],
  language: ['edition'],
  season: ['edition'],
  diagnosis: ['edition', 'language', 'season'],
  treatment: ['edition', 'quantities', 'season'],
  consult: ['edition', 'language', 'season', 'diagnosis', 'treatment'],
  reply: ['edition', 'season', 'diagnosis', 'treatment', 'consult'],
  library: ['edition', 'diagnosis'],
  measure: ['edition', 'quantities', 'season'],
  photo: ['measure'],
  instruments: ['edition'],
};
const coreFolders = Object.entries(CORE_FOLDERS).map(([folder, mayImport]) => {
  const others = Object.keys(CORE_FOLDERS).filter((other) => other !== folder && !mayImport.includes(other));
  return {
    files: [`core/src/${folder}/**/*.ts`],
    ignores: ['**/*.test.ts'],
    rules: deny([
      PURE_LIBRARIES,
      { regex: `^(\\.\\./)+(${others.join('|')})/`, message: `core/${folder} may import ${mayImport.join(', ') || 'no other folder'}` },
    ]),
  };
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
      ...deny([PURE_LIBRARIES]),
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage', 'Buffer'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }, { object: 'Date', property: 'now', message: 'pass the time in' }],
    },
  },
  ...coreFolders,
  {
    files: ['web/src/**/*.{ts,tsx}'],
    extends: [hooks.configs.flat.recommended],
    rules: deny([{ group: ['node:*', 'express', 'pg', 'drizzle-orm*', '@sounding/server*'] }]),
  },
  {
    files: ['server/src/**/*.ts'],
    rules: deny([{ group: ['react', 'react-*', '@sounding/web*', 'styled-components'] }]),
  },
);

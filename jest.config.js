const swc = (react) => [
  '@swc/jest',
  {
    jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: react }, transform: react ? { react: { runtime: 'automatic' } } : undefined },
    module: { type: 'es6' },
    sourceMaps: 'inline',
  },
];
const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: name,
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '\\.tsx$': swc(true), '\\.ts$': swc(false) },
  testPathIgnorePatterns: ['/dist/'],
  ...extra,
});
export default {
  testTimeout: 240_000, // a machine short of processors is no failure
  projects: [
    project('core'),
    project('knowledge'),
    project('contract'),
    project('cli'),
    project('server'),
    project('bench'),
    project('web', { testEnvironment: '<rootDir>/../jest-env-web.js', setupFilesAfterEnv: ['<rootDir>/src/patience.ts'] }),
  ],
};

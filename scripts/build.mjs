import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
// our own packages are bundled, those from the registry stay outside
const alias = Object.fromEntries(['core', 'knowledge', 'contract'].map((name) => [`@sounding/${name}`, `${root}${name}/src`]));

const programs = [
  ['server/src/main.ts', 'server/dist/main.js'],
  ['server/src/library/workshopThread.ts', 'server/dist/workshop.js'],
  ['server/src/standins/weatherMain.ts', 'server/dist/weatherService.js'],
  ['server/src/standins/instrumentsMain.ts', 'server/dist/instruments.js'],
  ['cli/src/main.ts', 'cli/dist/main.js'],
];
for (const [source, out] of programs) {
  await build({
    entryPoints: [root + source],
    outfile: root + out,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    packages: 'external',
    alias,
  });
}

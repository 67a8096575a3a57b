import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
// our own packages are bundled, those from the registry stay outside
const alias = Object.fromEntries(['core', 'knowledge', 'contract'].map((name) => [`@sounding/${name}`, `${root}${name}/src`]));

for (const name of ['server', 'cli']) {
  await build({
    entryPoints: [`${root}${name}/src/main.ts`],
    outfile: `${root}${name}/dist/main.js`,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    packages: 'external',
    alias,
  });
}

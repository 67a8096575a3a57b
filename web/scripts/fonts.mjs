// Cuts the shipped fonts down to the characters the interface and the knowledge use. Run by hand after changing the list.
import { readFile, writeFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import subsetFont from 'subset-font';

const root = fileURLToPath(new URL('../..', import.meta.url));
const range = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)).join('');
const letters = range(0x20, 0x7e) + range(0xa0, 0xff) + 'ŁłŒœŠšŽžČčĚěŘřŠšŮůŃńŚśŹźŻżĄąĘęŐőŰű' + '–—‘’‚“”„†•…‹›€−';
const signs = '⇧▾≥≤≈→←↑↓₂✓☐°×½¼¾π₁÷√';
const sans = `${root}node_modules/source-sans/TTF/SourceSans3-`;
const serif = `${root}node_modules/@fontsource-variable/alegreya/files/alegreya-latin-wght-`;
const jobs = [
  [`${sans}Regular.ttf`, 'SourceSans3-Regular', letters + signs],
  [`${sans}Semibold.ttf`, 'SourceSans3-Semibold', letters + signs],
  [`${serif}normal.woff2`, 'Alegreya', letters, { wght: { min: 500, max: 600 } }],
  [`${serif}italic.woff2`, 'Alegreya-Italic', letters, { wght: 400 }],
];
for (const [from, name, text, variationAxes] of jobs) {
  const out = await subsetFont(await readFile(from), text, {
    targetFormat: 'woff2',
    noLayoutClosure: name.startsWith('Source'),
    ...(variationAxes ? { variationAxes } : {}),
  });
  await writeFile(`${root}web/public/fonts/${name}.woff2`, out);
  console.log(name, out.length);
}

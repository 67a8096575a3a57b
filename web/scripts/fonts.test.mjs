/** @jest-environment node */
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from '@jest/globals';
import { create } from 'fontkit';

const root = fileURLToPath(new URL('../..', import.meta.url));
const fonts = ['SourceSans3-Regular', 'SourceSans3-Semibold'].map((name) => [name, create(readFileSync(`${root}web/public/fonts/${name}.woff2`))]);
const textsBelow = (folder, endings) =>
  readdirSync(root + folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => endings.test(file) && !file.includes('.test.'))
    .map((file) => readFileSync(`${root}${folder}/${file}`, 'utf8'))
    .join('');
// every character a reply or a view can print: dosing text must never fall back to another font or a box
const used = new Set(
  `${textsBelow('knowledge/data', /\.yaml$/)}${textsBelow('web/src', /\.tsx?$/)}${textsBelow('core/src/treatment', /\.ts$/)}${textsBelow('core/src/consult', /\.ts$/)}${textsBelow('core/src/measure', /\.ts$/)}${textsBelow('core/src/quantities', /\.ts$/)}≥≤→½°×`,
);

describe('shipped fonts', () => {
  it.each(fonts)('%s has every character that is used', (_name, font) => {
    expect([...used].filter((c) => c >= ' ' && !font.hasGlyphForCodePoint(c.codePointAt(0)))).toEqual([]);
  });
});

import { brotliDecompressSync } from 'node:zlib';
import { describe, expect, it } from '@jest/globals';
import { unpackEdition, type PackedEdition } from '@sounding/core/edition/packed.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { PackedEditions } from './packedEditions.ts';

const opened = (bytes: Buffer): Edition => unpackEdition(JSON.parse(brotliDecompressSync(bytes).toString()) as PackedEdition);
const anEdition = (version: string): Edition => ({ ...smallEdition, version });

describe('packed editions', () => {
  it('opens again to the edition', async () => {
    expect(opened(await new PackedEditions().of(smallEdition))).toEqual(JSON.parse(JSON.stringify(smallEdition)));
  });
  it('gives what the build packed, and packs any other version itself', async () => {
    const ready = Buffer.from('packed at build');
    const packed = new PackedEditions(new Map([['1', ready]]));
    expect(await packed.of(anEdition('1'))).toBe(ready);
    expect(opened(await packed.of(anEdition('2'))).version).toBe('2');
  });
  it('packs an edition once, whoever asks meanwhile, and forgets the oldest', async () => {
    const packed = new PackedEditions();
    const [first, second] = await Promise.all([packed.of(anEdition('a')), packed.of(anEdition('a'))]);
    expect(second).toBe(first);
    for (let i = 0; i < 9; i++) await packed.of(anEdition(String(i)));
    expect(await packed.of(anEdition('a'))).not.toBe(first);
  });
});

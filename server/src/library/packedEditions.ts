import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import { packEdition } from '@sounding/core/edition/packed.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { TIGHTLY } from '@sounding/knowledge/tightly.ts';

const compress = promisify(brotliCompress);
/** A quarter of a second for 3 MB; the tightest takes five seconds for 8 % less. */
const QUICK = 9;
/** Old cases bring old editions with them; a desk reads few of them on one day. */
const KEPT = 8;

/** Editions by column in brotli. One nobody has packed yet is sent quickly packed, and tightly once that is done beside other work. */
export class PackedEditions {
  private readonly packed = new Map<string, Promise<Buffer>>();

  /** @param ready what was packed when the application was built, by version */
  constructor(private readonly ready: ReadonlyMap<string, Buffer> = new Map()) {}

  async of(edition: Edition): Promise<Buffer> {
    const { version } = edition;
    const known = this.ready.get(version) ?? this.packed.get(version);
    if (known) return known;
    const text = Buffer.from(JSON.stringify(packEdition(edition)));
    const quick = compress(text, { params: { [constants.BROTLI_PARAM_QUALITY]: QUICK } });
    this.keep(version, quick);
    void quick.then(async () => this.keep(version, Promise.resolve(await compress(text, TIGHTLY)))).catch(() => this.packed.delete(version));
    return quick;
  }

  private keep(version: string, bytes: Promise<Buffer>): void {
    this.packed.delete(version);
    this.packed.set(version, bytes);
    for (const oldest of [...this.packed.keys()].slice(0, -KEPT)) this.packed.delete(oldest);
  }
}

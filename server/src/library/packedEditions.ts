import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import { packEdition } from '@sounding/core/edition/packed.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';

const compress = promisify(brotliCompress);
/** Two seconds for 1.2 MB, beside other work, and a kilobyte above the tightest, which takes four; what takes a quarter of a second weighs 8 % more. */
const PARAMS = { [constants.BROTLI_PARAM_QUALITY]: 10 };
/** Old cases bring old editions with them; a desk reads few of them on one day. */
const KEPT = 8;

/** Editions by column in brotli: as the build packed them, or packed once when somebody first asks. */
export class PackedEditions {
  private readonly packed = new Map<string, Promise<Buffer>>();

  /** @param ready what was packed when the application was built, by version */
  constructor(private readonly ready: ReadonlyMap<string, Buffer> = new Map()) {}

  async of(edition: Edition): Promise<Buffer> {
    const { version } = edition;
    const known = this.ready.get(version) ?? this.packed.get(version);
    if (known) return known;
    const bytes = compress(Buffer.from(JSON.stringify(packEdition(edition))), { params: PARAMS });
    this.packed.set(version, bytes);
    bytes.catch(() => this.packed.delete(version));
    for (const oldest of [...this.packed.keys()].slice(0, -KEPT)) this.packed.delete(oldest);
    return bytes;
  }
}

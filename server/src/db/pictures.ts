import { and, eq } from 'drizzle-orm';
import sharp from 'sharp';
import { ApiError } from '../problems.ts';
import type { Queryable } from './connect.ts';
import { notFound } from './caseReader.ts';
import { requireQuestion } from './caseWriter.ts';
import { pictures } from './schema.ts';

/** A leaf fills such a picture well enough to be measured again. */
const LONGEST_SIDE = 1600;
/** More pixels than any camera a caller has; a small file can unfold into more. */
const MOST_PIXELS = 120_000_000;
const QUALITY = 88;

export interface Picture {
  image: Buffer;
  width: number;
  height: number;
}

/**
 * The picture alone, turned upright and made anew: place, time, camera and thumbnails in the file do not survive.
 * @throws ApiError invalid-request when it is no picture
 */
export async function pictureOnly(file: Buffer): Promise<Picture> {
  try {
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true });
    return { image: data, width: info.width, height: info.height };
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    throw new ApiError('invalid-request', `The file is no picture that can be read here, or it is cut off: ${why}`);
  }
}

/** Stores a picture of a question; sent twice it is stored once. */
export async function addPicture(
  db: Queryable,
  deskId: string,
  questionId: string,
  picture: Picture & { id: string; statementId: string | null },
  now: Date,
): Promise<void> {
  await requireQuestion(db, deskId, questionId);
  await db
    .insert(pictures)
    .values({ ...picture, deskId, questionId, takenAt: now })
    .onConflictDoNothing();
}

export async function readPicture(db: Queryable, deskId: string, id: string): Promise<Buffer> {
  const [row] = await db
    .select({ image: pictures.image })
    .from(pictures)
    .where(and(eq(pictures.id, id), eq(pictures.deskId, deskId)));
  if (!row) throw notFound('picture');
  return row.image;
}

/** A colour as a camera writes it: sRGB, 0 to 255. */
export type Rgb = readonly [red: number, green: number, blue: number];

/** Linear light of an sRGB byte. Source: IEC 61966-2-1 (1999). */
export const LINEAR: readonly number[] = Array.from({ length: 256 }, (_, byte) => {
  const c = byte / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
});

/** Keeps the logarithm of a black pixel finite, and its noise small. */
const FLOOR = 0.004;
/** The blue of leaves is faint and noisy; it counts for less than red against green. */
const BLUE_WEIGHT = 0.5;
/** Brightness tells white from grey and black from brown, and must not tell sun from shade. */
const LIGHT_WEIGHT = 0.55;

/**
 * What a pixel is told by: the logarithms of red over green and of blue over green, which a shadow on it does not change, and a little of its
 * brightness. Log-chromaticity after Finlayson & Hordley (2001), Color constancy at a pixel, J. Opt. Soc. Am. A 18:253–264.
 */
export type Feature = readonly [redGreen: number, blueGreen: number, light: number];

/** @param white the linear colour of white in this light; the picture is seen as if it were lit evenly */
export function featureOf(red: number, green: number, blue: number, white: Rgb = [1, 1, 1]): Feature {
  const r = (LINEAR[red] ?? 0) / white[0] + FLOOR;
  const g = (LINEAR[green] ?? 0) / white[1] + FLOOR;
  const b = (LINEAR[blue] ?? 0) / white[2] + FLOOR;
  const luminance = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  return [Math.log(r / g), BLUE_WEIGHT * Math.log(b / g), LIGHT_WEIGHT * Math.cbrt(luminance)];
}

export function apart(a: Feature, b: Feature): number {
  return (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;
}

/** A table of answers by colour, each worked out when it is first asked for: pictures repeat their colours, and a step of one byte is less than noise. */
export function byColour(answer: (red: number, green: number, blue: number) => number): (red: number, green: number, blue: number) => number {
  const UNKNOWN = -1;
  const table = new Int16Array(1 << 21).fill(UNKNOWN);
  return (red, green, blue) => {
    const key = ((red >> 1) << 14) | ((green >> 1) << 7) | (blue >> 1);
    const known = table[key]!;
    if (known !== UNKNOWN) return known;
    return (table[key] = answer(red, green, blue));
  };
}

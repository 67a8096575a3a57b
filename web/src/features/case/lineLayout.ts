/** Places labels near their marks without overlap: each at least `gap` below the one before, pushed up again from the end. */
export function spreadLabels(marks: readonly number[], gap: number, top: number, bottom: number): number[] {
  const out: number[] = [];
  for (const mark of marks) out.push(Math.max(mark, out.length === 0 ? top : out[out.length - 1]! + gap));
  for (let i = out.length - 1, limit = bottom; i >= 0; i--, limit -= gap) out[i] = Math.min(out[i]!, limit);
  return out;
}

/** Depth of a mark: the surface is all the doubt there was at first, the bottom is none left. */
export function depthOf(bits: number, surfaceBits: number): number {
  return surfaceBits <= 0 ? 1 : Math.min(1, Math.max(0, 1 - bits / surfaceBits));
}

/** Halvings from the surface down: 32, 16, 8, 4, 2, 1 possibilities left. */
export function halvings(surfaceBits: number): { left: number; depth: number }[] {
  const out: { left: number; depth: number }[] = [];
  for (let bits = Math.floor(surfaceBits); bits >= 0; bits--) out.push({ left: 2 ** bits, depth: depthOf(bits, surfaceBits) });
  return out;
}

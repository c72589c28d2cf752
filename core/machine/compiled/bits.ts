/** A set of the whole numbers below a size, one bit each. */
export type Bits = Uint32Array;

/** The numbers below a size that are wanted. */
export const bitsOf = (size: number, isIn: (i: number) => boolean): Bits => {
  const bits = new Uint32Array((size + 31) >>> 5);
  for (let i = 0; i < size; i++)
    if (isIn(i)) bits[i >>> 5] = (bits[i >>> 5] ?? 0) | (1 << (i & 31));
  return bits;
};

/** What is in both of two sets of one size. */
export const both = (a: Bits, b: Bits): Bits => a.map((word, i) => word & (b[i] ?? 0));

/** The members of a set, ascending. */
export const membersOf = (bits: Bits): readonly number[] => {
  const out: number[] = [];
  bits.forEach((word, at) => {
    // the lowest bit that is left, then the set without it
    for (let left = word; left !== 0; left &= left - 1)
      out.push(at * 32 + 31 - Math.clz32(left & -left));
  });
  return out;
};

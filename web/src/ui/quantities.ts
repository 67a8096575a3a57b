const BELOW_ZERO = /(^|[\s(])-(?=\d)/g;
const BEFORE_UNIT = /(\d) (?=°[CF]|%|(?:cm|mm|m|g|kg|l)\b)/g;

/** Text of the library as it is set: a number stays with its unit, and below zero has a minus. */
export const setQuantities = (text: string): string => text.replace(BELOW_ZERO, '$1\u2212').replace(BEFORE_UNIT, '$1\u00a0');

import { useState } from 'react';

/** The last value there was while the next one is awaited, so that nothing blinks; forgotten when what it belongs to changes. */
export function useKept<T>(value: T | null, belongsTo: string): T | null {
  const [kept, setKept] = useState({ value, belongsTo });
  if (value !== null && (value !== kept.value || belongsTo !== kept.belongsTo)) setKept({ value, belongsTo });
  return value ?? (kept.belongsTo === belongsTo ? kept.value : null);
}

import { useEffect, useState } from 'react';

const TICK_MS = 250;

export interface Countdown {
  /** Whole seconds still to go. */
  left: number;
  state: 'ready' | 'running' | 'over';
  start: () => void;
}

/** Counts seconds down by the clock, not by ticks: a tab in the background comes back right. `key` names what is timed; another starts anew. */
export function useCountdown(seconds: number, key: string): Countdown {
  const [endsAt, setEndsAt] = useState<{ key: string; at: number } | null>(null);
  const [now, setNow] = useState(() => Date.now());
  const at = endsAt?.key === key ? endsAt.at : null;
  const left = at === null ? seconds : Math.max(0, Math.ceil((at - now) / 1000));
  const running = at !== null && left > 0;
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [running]);
  return {
    left,
    state: at === null ? 'ready' : left > 0 ? 'running' : 'over',
    start: () => {
      const start = Date.now();
      setNow(start);
      setEndsAt({ key, at: start + seconds * 1000 });
    },
  };
}

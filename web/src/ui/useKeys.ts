import { useEffectEvent, useLayoutEffect } from 'react';

/**
 * Hears every key pressed on a view, wherever the focus is: a button that was pressed may be gone. It hears from the moment the view is
 * on screen, so that a key pressed at once is not lost on the view before it.
 */
export function useKeys(onKey: (event: KeyboardEvent) => void): void {
  const hear = useEffectEvent(onKey);
  useLayoutEffect(() => {
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, []);
}

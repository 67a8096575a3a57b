import { entered, NO_DRAFT, typed } from '../../store/drafts.ts';
import type { Store } from '../../store/store.ts';

/** Longest wait for a case to come on screen, in milliseconds; after it, keys mean what they did. */
const LONGEST_WAIT_MS = 3000;

/**
 * Keys pressed between picking a call up and its line coming on screen are the caller's words: they wait in the draft of the call. It ends when the line
 * takes the focus.
 */
export function keepTypedAhead(store: Pick<Store, 'dispatch' | 'getState'>, caseId: string): void {
  /** Whether the key meant something for the line. */
  const take = (key: string): boolean => {
    const { text } = store.getState().drafts[caseId] ?? NO_DRAFT;
    if (key === 'Enter') store.dispatch(entered(caseId));
    else if (key === 'Backspace') store.dispatch(typed({ caseId, text: text.slice(0, -1) }));
    else if (key.length === 1) store.dispatch(typed({ caseId, text: text + key }));
    else return false;
    return true;
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    // the key that picked the call up may still be held down: that is no word
    if (!event.repeat && !take(event.key)) return;
    event.preventDefault();
    event.stopPropagation();
  };
  const stop = (): void => {
    window.removeEventListener('keydown', onKey, true);
    window.removeEventListener('focusin', stop);
    clearTimeout(timer);
  };
  const timer = setTimeout(stop, LONGEST_WAIT_MS);
  window.addEventListener('keydown', onKey, true);
  window.addEventListener('focusin', stop);
}

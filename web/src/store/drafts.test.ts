import { beforeEach, describe, expect, it } from '@jest/globals';
import { entered, heldBack, keepDrafts, takenIn, typed } from './drafts.ts';
import { createStore, type Store } from './store.ts';

beforeEach(() => localStorage.clear());

const inLine = (store: Store) => Object.fromEntries(Object.entries(store.getState().drafts).map(([id, { text }]) => [id, text]));

describe('drafts', () => {
  it('belong each to its call, and go when they are empty', () => {
    const store = createStore();
    store.dispatch(typed({ caseId: 'c1', text: 'my roses' }));
    store.dispatch(typed({ caseId: 'c2', text: 'the lawn' }));
    store.dispatch(typed({ caseId: 'c1', text: '' }));
    expect(inLine(store)).toEqual({ c2: 'the lawn' });
  });
  it('keep what was typed behind the words that were taken in', () => {
    const store = createStore();
    store.dispatch(typed({ caseId: 'c1', text: 'my roses and' }));
    store.dispatch(takenIn({ caseId: 'c1', words: 'my roses' }));
    expect(inLine(store)).toEqual({ c1: ' and' });
    store.dispatch(takenIn({ caseId: 'c1', words: 'other words' }));
    expect(inLine(store)).toEqual({ c1: ' and' });
    store.dispatch(takenIn({ caseId: 'c1', words: ' and' }));
    expect(inLine(store)).toEqual({});
  });
  it('are entered up to where the key was pressed, while that much of them stands', () => {
    const store = createStore();
    const upTo = () => store.getState().drafts['c1']?.entered;
    store.dispatch(typed({ caseId: 'c1', text: 'my roses' }));
    store.dispatch(entered('c1'));
    store.dispatch(typed({ caseId: 'c1', text: 'my roses have' }));
    expect(upTo()).toBe('my roses'.length);
    store.dispatch(typed({ caseId: 'c1', text: 'my ro' }));
    expect(upTo()).toBe(0);
    store.dispatch(entered('c1'));
    store.dispatch(heldBack('c1'));
    expect(store.getState().drafts['c1']).toEqual({ text: 'my ro', entered: 0 });
    store.dispatch(entered('c2'));
    expect(Object.keys(store.getState().drafts)).toEqual(['c1']);
  });
  it('outlive the page', () => {
    const store = createStore();
    keepDrafts(store);
    store.dispatch(typed({ caseId: 'c1', text: 'half a sent' }));
    expect(inLine(createStore())).toEqual({ c1: 'half a sent' });
  });
  it('are none when what was kept cannot be read', () => {
    localStorage.setItem('sounding.drafts', '{half');
    expect(createStore().getState().drafts).toEqual({});
  });
});

import { describe, expect, it } from '@jest/globals';
import { adviceBody, caseListQuery, newCase } from './api.ts';
import { caseInput, firstFault } from './caseInput.ts';

const fault = (value: unknown) => {
  const parsed = caseInput.safeParse(value);
  return parsed.success ? null : firstFault(parsed.error);
};

const ID = '4f9d1c1e-3f0a-4a53-9a35-6f1f0a1b2c3d';

describe('contract', () => {
  it('fills in what may be missing', () => expect(caseInput.parse({ words: ['x'] })).toEqual({ words: ['x'], readings: [] }));
  it('names the first fault by its path', () => {
    expect(fault({ words: [], readings: [{ finding: 'a', answer: 'b', channel: 'crystal ball' }] })).toMatch(/^readings\[0\]\.channel: /);
    expect(fault({ words: [], place: { lat: 99 } })).toMatch(/^place\.lat: /);
    expect(fault('words')).toMatch(/^case: /);
  });
  it('asks for a caller', () => expect(newCase.safeParse({ id: ID, questionId: ID, channel: 'email', caller: { name: ' ' } }).success).toBe(false));
  it('bounds a page of cases', () => expect(caseListQuery.safeParse({ limit: '500' }).success).toBe(false));
  it('refuses an empty reply', () => expect(adviceBody.safeParse({ body: '' }).success).toBe(false));
});

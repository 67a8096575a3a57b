import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from '@jest/globals';
import type { ReadingView } from '@sounding/contract/api.ts';
import { Consultant } from '@sounding/core/consult/consult.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { untold } from '@sounding/core/testing/untold.ts';
import { useAsking } from './useAsking.ts';
import { inVainSince } from './useQuestionStanding.ts';

const consultant = new Consultant(smallEdition);
const vague = consultant.consult(untold);
const told = consultant.consult({ ...untold, readings: [{ finding: 'coating', answer: 'black', channel: 'caller' }] });

describe('what to ask now', () => {
  it('is the plant first, then what is seen, and below them the questions from the best one on', () => {
    const { result } = renderHook(() => useAsking(vague, false));
    expect(result.current).toMatchObject({ first: 'plant', asks: false });
    act(() => result.current.move(1));
    expect(result.current).toMatchObject({ first: 'what', asks: false });
    act(() => result.current.move(1));
    expect(result.current).toMatchObject({ first: null, asks: true, next: vague.questions[0] });
    act(() => result.current.toTheTop());
    expect(result.current).toMatchObject({ first: null, next: vague.questions[0] });
    for (const first of ['what', 'plant']) {
      act(() => result.current.move(-1));
      expect(result.current.first).toBe(first);
    }
  });
  it('is not the plant again once the advisor has asked on without a name', () => {
    const { result } = renderHook(() => useAsking(told, false));
    expect(result.current.first).toBe('plant');
    act(() => result.current.move(1));
    act(() => result.current.toTheTop());
    expect(result.current).toMatchObject({ first: null, next: told.questions[0] });
  });
  it('is what is seen at all while nothing wrong was told', () => {
    const { result } = renderHook(() => useAsking(vague, true));
    expect(result.current.first).toBe('what');
    act(() => result.current.move(-1));
    expect(result.current.asks).toBe(false);
  });
  it('is not that again once the advisor has gone past it, but above', () => {
    const { result } = renderHook(() => useAsking(vague, true));
    act(() => result.current.move(1));
    expect(result.current).toMatchObject({ first: null, next: vague.questions[0] });
    act(() => result.current.toTheTop());
    expect(result.current).toMatchObject({ first: null, next: vague.questions[0] });
    act(() => result.current.move(-1));
    expect(result.current.first).toBe('what');
  });
  it('is the best question after that, and no farther down than the last', () => {
    const { result } = renderHook(() => useAsking(told, true));
    expect(result.current).toMatchObject({ first: null, next: told.questions[0] });
    for (let n = 0; n < 20; n++) act(() => result.current.move(1));
    expect(result.current.next).toBe(told.questions.at(-1));
  });
  it('is nothing where there is enough to answer, until the advisor asks on from the best question', () => {
    const enough = { ...told, enough: { enough: true as const, because: 'one-stands-out' as const } };
    const { result } = renderHook(() => useAsking(enough, true));
    expect(result.current).toMatchObject({ first: null, asks: false });
    act(() => result.current.move(1));
    expect(result.current).toMatchObject({ asks: true, next: told.questions[0] });
    act(() => result.current.move(-1));
    expect(result.current.asks).toBe(false);
  });
  it('is nothing where only care was asked for', () => {
    const { result } = renderHook(() => useAsking(told, true, true));
    expect(result.current.asks).toBe(false);
  });
  it('is nothing while there is no standing', () => {
    const { result } = renderHook(() => useAsking(null, true));
    expect(result.current).toMatchObject({ first: null, next: undefined });
  });
});

describe('questions in vain', () => {
  const reading = (answer: string, takenAt: string, withdrawnAt: string | null = null) => ({ answer, takenAt, withdrawnAt }) as ReadingView;
  it('are counted since something was last told', () => {
    expect(inVainSince([])).toBe(0);
    expect(inVainSince([reading('unknown', '2026-05-01T10:02'), reading('yes', '2026-05-01T10:01')])).toBe(1);
    expect(inVainSince([reading('unknown', '2026-05-01T10:00'), reading('yes', '2026-05-01T10:01')])).toBe(0);
  });
  it('are none when they were taken back', () => expect(inVainSince([reading('unknown', '2026-05-01T10:00', '2026-05-01T10:05')])).toBe(0));
});

import { describe, expect, it, jest } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import { aCase, aQuestion, renderAtDesk } from '../../testing.tsx';
import { applyWrite } from '../../store/writes.ts';
import type { NewWrite } from '../case/useCaseWork.ts';
import { InspectionCards } from './InspectionCards.tsx';
import { channelOf, writesOf } from './inspectionWrites.ts';
import type { CaseAtHand } from './useCaseAtHand.ts';

const scratch: Inspection = {
  id: 'scratch',
  name: 'Scratch test',
  settles: 'Alive or dead?',
  where: ['phone'],
  needs: 'A fingernail.',
  cautions: ['Mind the eyes.'],
  steps: [
    { say: 'Nick the bark.', figure: 'scratch' },
    { say: 'Watch it.', seconds: 60 },
  ],
  results: [
    { say: 'Green', means: 'Alive.', readings: [{ finding: 'coating', answer: 'none' }] },
    { say: 'Brown', means: 'Wait.', readings: [{ finding: 'frost', answer: 'yes' }], again: [14, 21] },
  ],
  mark: 'common-practice',
};
let nextId = 0;
const newId = () => `n${nextId++}`;
const laid = (writes: NewWrite[], view = aCase()) =>
  writes.reduce((now, body, i) => applyWrite(now, { ...body, id: `w${i}`, caseId: 'c1', at: '2026-06-14T09:00:00Z' }), view);
const brown = { inspection: scratch, result: scratch.results[1]!, channel: 'caller-looked' as const, againOn: '2026-06-28' };

describe('what a test leaves in the case', () => {
  it('is its result with the readings, each by the channel it is known by', () => {
    const view = laid(writesOf({ ...brown, againOn: null }, aCase(), aQuestion(), newId));
    const [question] = view.questions;
    expect(question?.statements).toEqual([expect.objectContaining({ by: 'inspection', asked: 'Scratch test', said: 'Brown' })]);
    expect(question?.readings).toEqual([
      expect.objectContaining({ finding: 'frost', answer: 'yes', channel: 'caller-looked', from: 'Scratch test' }),
    ]);
    expect([question?.plan, view.followUpOn]).toEqual([null, null]);
  });
  it('puts the day to look again into plan and call-backs, and keeps an earlier call-back', () => {
    const view = laid(writesOf(brown, aCase(), aQuestion(), newId));
    expect(view.questions[0]?.plan?.checks).toEqual([expect.objectContaining({ on: '2026-06-28', what: 'Scratch test', why: 'last time: brown' })]);
    expect(view.followUpOn).toBe('2026-06-28');
    const sooner = aCase({ followUpOn: '2026-06-20' });
    expect(laid(writesOf(brown, sooner, aQuestion(), newId), sooner).followUpOn).toBe('2026-06-20');
    const later = aCase({ followUpOn: '2026-07-20' });
    expect(laid(writesOf(brown, later, aQuestion(), newId), later).followUpOn).toBe('2026-06-28');
  });
  it('is a bench test at the table and a look of the caller on the phone', () => {
    expect([channelOf('table'), channelOf('phone')]).toEqual(['bench', 'caller-looked']);
  });
});

describe('the cards of a test', () => {
  const atHand = (write: (body: NewWrite) => void): CaseAtHand => ({ view: aCase(), question: aQuestion(), write, changePlan: () => undefined });

  it('are turned and answered on the keys, and Enter takes the result in', async () => {
    const write = jest.fn<(body: NewWrite) => void>();
    renderAtDesk(<InspectionCards inspection={scratch} atHand={atHand(write)} />, { at: '/bench/tests/scratch', path: '/bench/*' });
    expect(screen.getByText('Nick the bark.')).toBeTruthy();
    await userEvent.keyboard('{ArrowRight}');
    expect(screen.getByText('Watch it.')).toBeTruthy();
    await userEvent.keyboard('2');
    expect(screen.getByText('Wait.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/look again on/).value).toBe('2026-06-28');
    await userEvent.keyboard('{Enter}');
    expect(write.mock.calls.map(([body]) => body.kind)).toEqual(['statement', 'question', 'case']);
    expect(screen.getByLabelText('address').textContent).toBe('/case/c1?q=q1');
  });
  it('keep what was picked when the case comes in after it', async () => {
    const Late = () => {
      const [late, setLate] = useState<CaseAtHand | null>(null);
      return (
        <>
          <button onClick={() => setLate(atHand(() => undefined))}>here is the case</button>
          <InspectionCards inspection={scratch} atHand={late} />
        </>
      );
    };
    renderAtDesk(<Late />, { at: '/bench/tests/scratch', path: '/bench/*' });
    await userEvent.keyboard('2');
    await userEvent.click(screen.getByText('here is the case'));
    expect(screen.getByLabelText<HTMLInputElement>(/look again on/).value).toBe('2026-06-28');
  });
  it('say what they mean without a case, with the days to look again and the caution', async () => {
    renderAtDesk(<InspectionCards inspection={scratch} atHand={null} />);
    expect(screen.getByText('Mind the eyes.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /Brown/ }));
    expect(screen.getByText('Look again between 28 June 2026 and 5 July 2026.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Take it into the case/ })).toBeNull();
  });
  it('count a minute down by the clock', async () => {
    const now = jest.spyOn(Date, 'now').mockReturnValue(1_000_000);
    try {
      renderAtDesk(<InspectionCards inspection={scratch} atHand={null} />);
      await userEvent.keyboard('{ArrowRight}');
      expect(screen.getByRole('timer').textContent).toBe('1:00');
      await userEvent.click(screen.getByRole('button', { name: 'Start the clock' }));
      now.mockReturnValue(1_000_000 + 21_000);
      await act(() => new Promise((resolve) => setTimeout(resolve, 400)));
      expect(screen.getByRole('timer').textContent).toBe('0:39');
      now.mockReturnValue(1_000_000 + 61_000);
      await act(() => new Promise((resolve) => setTimeout(resolve, 400)));
      expect(screen.getByText('Time is up: what do you see?')).toBeTruthy();
    } finally {
      now.mockRestore();
    }
  });
});

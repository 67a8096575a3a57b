import { describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { useNewest } from './useNewest.ts';

const Box = ({ lines }: { lines: number }) => <div data-testid="box" ref={useNewest<HTMLDivElement>(lines)} />;

/** A box in which nothing is laid out by itself: what it holds is 550 high. */
function drawn(lines: number) {
  const { rerender } = render(<Box lines={lines} />);
  const box = screen.getByTestId('box');
  Object.defineProperty(box, 'scrollHeight', { value: 550 });
  return { box, hold: (now: number) => rerender(<Box lines={now} />) };
}

describe('the newest of what grows', () => {
  it('is scrolled to when something is added, and what was there at first is left at its top', () => {
    const { box, hold } = drawn(10);
    expect(box.scrollTop).toBe(0);
    hold(11);
    expect(box.scrollTop).toBe(550);
  });
  it('is left alone where something is taken back or nothing changes', () => {
    const { box, hold } = drawn(10);
    box.scrollTop = 120;
    fireEvent.scroll(box);
    hold(10);
    hold(9);
    expect(box.scrollTop).toBe(120);
  });
});

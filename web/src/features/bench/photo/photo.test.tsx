import { describe, expect, it, jest } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { COLOUR_CLASSES } from '@sounding/core/photo/classes.ts';
import { aCase, aQuestion, renderInk } from '../../../testing.tsx';
import { applyWrite } from '../../../store/writes.ts';
import { ClassTable } from './ClassTable.tsx';
import { PhotoCanvas } from './PhotoCanvas.tsx';
import { changedClass, colourAt, drawnWith, NOTHING_DRAWN, optionsOf, scaleOf, woundOf } from './photoState.ts';
import { photoWritesOf } from './photoWrites.ts';

const at = (x: number, y = 0) => ({ x, y });
const ring = [at(0), at(10), at(20, 10), at(20, 20), at(10, 30), at(0, 20)];

describe('drawing on a picture', () => {
  it('adds outlines, and takes a slip of the hand for none', () => {
    const once = drawnWith(NOTHING_DRAWN, 'keep', ring);
    expect(drawnWith(once, 'leave-out', ring)).toMatchObject({ keep: [ring], leaveOut: [ring] });
    expect(drawnWith(once, 'keep', ring.slice(0, 3))).toBe(once);
    expect(drawnWith(once, 'coin', [at(0), at(2)])).toBe(once);
    expect(drawnWith(once, 'colour', ring)).toBe(once);
    expect(drawnWith(once, 'keep', [])).toBe(once);
  });
  it('keeps one thing of known size at a time', () => {
    const coined = drawnWith(NOTHING_DRAWN, 'coin', [at(0), at(40)]);
    const ruled = drawnWith(coined, 'ruler', [at(0), at(50), at(100)]);
    expect(ruled).toMatchObject({ coin: null, ruler: [at(0), at(100)] });
    expect(optionsOf(coined, COLOUR_CLASSES).coin).toEqual({ centre: at(20), radius: 20 });
    expect(optionsOf(ruled, COLOUR_CLASSES).coin).toBeNull();
  });
  it('gives a scale from a typed length, or says what is wrong with it', () => {
    const ruled = drawnWith(NOTHING_DRAWN, 'ruler', [at(0), at(100)]);
    expect(scaleOf(ruled, '25')).toEqual({ value: 0.25, fault: null });
    expect(scaleOf(ruled, '2,5').value).toBeCloseTo(0.025);
    expect(scaleOf(ruled, 'wide').fault).toBe('“wide” is not a number of millimetres');
    expect(scaleOf(ruled, '0').fault).toContain('more than nothing');
    expect(scaleOf(NOTHING_DRAWN, '25')).toEqual({ value: null, fault: null });
  });
  it('gives the wound once both lines are there, and refuses one wider than the trunk', () => {
    const wound = drawnWith(NOTHING_DRAWN, 'wound', [at(0), at(50)]);
    expect(woundOf(wound)).toEqual({ value: null, fault: null });
    expect(woundOf(drawnWith(wound, 'trunk', [at(0), at(100)])).value).toBeCloseTo(1 / 6);
    expect(woundOf(drawnWith(wound, 'trunk', [at(0), at(20)])).fault).toContain('wider than the trunk');
  });
  it('reads the middle colour round a place, at the edge too', () => {
    const data = new Uint8ClampedArray(4 * 4 * 4).fill(90);
    data.set([255, 255, 255, 255], 0);
    expect(colourAt({ width: 4, height: 4, data }, at(0, 0))).toEqual([90, 90, 90]);
  });
});

describe('colours told apart', () => {
  it('white coating and glare are on one at a time', () => {
    const on = (id: string, classes = COLOUR_CLASSES) => classes.find((one) => one.id === id)?.on;
    const coated = changedClass(COLOUR_CLASSES, 'white', { on: true });
    expect([on('white', coated), on('glare', coated), on('brown', coated)]).toEqual([true, false, true]);
    const back = changedClass(coated, 'glare', { on: true });
    expect([on('white', back), on('glare', back)]).toEqual([false, true]);
    expect(on('glare', changedClass(COLOUR_CLASSES, 'white', { reach: 2 }))).toBe(true);
  });
  it('are shown with what they take, switched, widened and picked', async () => {
    const [onChange, onPick] = [jest.fn(), jest.fn()];
    const leaf = { leafPixels: 100, affected: 0.12, shares: { green: 0.88, brown: 0.12 }, leftOut: 0 };
    renderInk(<ClassTable classes={COLOUR_CLASSES} leaf={leaf} picking="brown" onPick={onPick} onChange={onChange} />);
    expect(screen.getByRole('row', { name: /brown 12/ })).toBeTruthy();
    await userEvent.click(screen.getByLabelText('brown'));
    fireEvent.change(screen.getByLabelText('how much yellow takes in'), { target: { value: '1.5' } });
    await userEvent.click(screen.getByRole('button', { name: 'take a colour for yellow from the picture' }));
    expect(onChange.mock.calls).toEqual([
      ['brown', { on: false }],
      ['yellow', { reach: 1.5 }],
    ]);
    expect(onPick).toHaveBeenCalledWith('yellow');
    expect(screen.getByText('press on it')).toBeTruthy();
  });
});

describe('the picture itself', () => {
  it('hands on a stroke in its own pixels, wherever it is shown', () => {
    const onStroke = jest.fn();
    const photo = { id: 'p', name: 'leaf.jpg', pixels: { width: 400, height: 200, data: new Uint8ClampedArray() }, image: new Blob(), url: 'blob:x' };
    renderInk(<PhotoCanvas photo={photo} drawn={NOTHING_DRAWN} cut={null} classes={COLOUR_CLASSES} overlay tool="ruler" onStroke={onStroke} />);
    const frame = screen.getByAltText('leaf.jpg').parentElement!;
    frame.setPointerCapture = () => undefined;
    frame.getBoundingClientRect = () => ({ left: 100, top: 50, width: 200, height: 100 }) as DOMRect;
    fireEvent(frame, new MouseEvent('pointerdown', { bubbles: true, clientX: 100, clientY: 50 }));
    fireEvent(frame, new MouseEvent('pointermove', { bubbles: true, clientX: 200, clientY: 100 }));
    fireEvent(frame, new MouseEvent('pointerup', { bubbles: true, clientX: 300, clientY: 150 }));
    expect(onStroke).toHaveBeenCalledWith([at(0, 0), at(200, 100), at(400, 200)]);
  });
});

describe('a picture in the case', () => {
  it('stands under what it shows, which counts as seen in a photo', () => {
    let n = 0;
    const readings = [{ finding: 'coating', answer: 'white', channel: 'caller' as const, from: 'white powder', choices: [] }];
    const shown = { pictureId: 'p1', width: 800, height: 600, lines: ['7 % of the leaf is affected', 'Class 4'], words: ' white powder ', readings };
    const writes = photoWritesOf(shown, aQuestion(), () => `n${n++}`);
    const view = writes.reduce((now, body, i) => applyWrite(now, { ...body, id: `w${i}`, caseId: 'c1', at: '2026-06-14T09:00:00Z' }), aCase());
    const [question] = view.questions;
    expect(question?.statements[0]).toMatchObject({ by: 'picture', said: 'white powder. 7 % of the leaf is affected. Class 4' });
    expect(question?.readings[0]).toMatchObject({ channel: 'photo', statementId: question?.statements[0]?.id });
    expect(question?.pictures).toEqual([
      { id: 'p1', statementId: question?.statements[0]?.id, width: 800, height: 600, takenAt: '2026-06-14T09:00:00Z' },
    ]);
  });
});

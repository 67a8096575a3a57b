import { describe, expect, it, jest } from '@jest/globals';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Label } from '@sounding/core/treatment/label.ts';
import { label } from '@sounding/core/testing/labels.ts';
import { renderInk } from '../../testing.tsx';
import { LabelForm, NEW_LABEL } from './LabelForm.tsx';

const show = (start: Label, known = true) => {
  const onSave = jest.fn<(label: Label, note: string) => void>();
  renderInk(<LabelForm label={start} known={known} refused={null} onSave={onSave} onCancel={() => undefined} />);
  return onSave;
};
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save the label' }));

describe('label form', () => {
  it('hands on what was changed, with the word for the history', async () => {
    const onSave = show(label());
    await userEvent.clear(screen.getByLabelText('Times a year'));
    await userEvent.type(screen.getByLabelText('Times a year'), '3');
    await userEvent.type(screen.getByLabelText(/What has changed/), 'new print');
    await save();
    expect(onSave).toHaveBeenCalledWith(expect.objectContaining({ uses: [expect.objectContaining({ mostUses: 3 })] }), 'new print');
  });
  it('says beside the field what is missing, and saves nothing', async () => {
    const onSave = show(label());
    await userEvent.clear(screen.getByLabelText('Rate'));
    await save();
    expect(onSave).not.toHaveBeenCalled();
    expect(screen.getAllByRole('alert').map((alert) => alert.textContent)).toEqual(
      expect.arrayContaining(['must be a number above 0', expect.stringContaining('nothing was saved yet')]),
    );
  });
  it('makes the id of a new one from its name', async () => {
    const onSave = show({ ...NEW_LABEL, validFrom: '2026-06-14', uses: label().uses }, false);
    await userEvent.type(screen.getByLabelText('Name'), 'Fern Hollow Soap 2');
    await userEvent.type(screen.getByLabelText(/Active ingredients/), 'soap | 2 % | x');
    await save();
    expect(screen.queryAllByRole('alert').map((alert) => alert.textContent)).toEqual([]);
    expect(onSave.mock.calls[0]![0]).toMatchObject({ id: 'fern-hollow-soap-2', name: 'Fern Hollow Soap 2' });
  });
  it('a restricted product is not for home gardens', async () => {
    const onSave = show(label());
    await userEvent.click(screen.getByLabelText(/restricted/));
    await save();
    expect(onSave.mock.calls[0]![0]).toMatchObject({ restricted: true, homeUse: false });
  });
});

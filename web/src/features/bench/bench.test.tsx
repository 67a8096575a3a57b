import { describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { SchemeProvider } from '../../app/scheme.tsx';
import { createStore } from '../../store/store.ts';
import { BenchPage } from './BenchPage.tsx';

const show = (at = '/bench') =>
  render(
    <Provider store={createStore()}>
      <MemoryRouter initialEntries={[at]}>
        <SchemeProvider>
          <BenchPage />
        </SchemeProvider>
      </MemoryRouter>
    </Provider>,
  );

describe('bench', () => {
  it('opens the sum that a line means, filled in and worked out', async () => {
    show();
    await userEvent.type(screen.getByLabelText('Type it as you hear it'), '6 inch pot cactus winter');
    expect(screen.getByRole('heading', { name: 'Succulent at rest' })).toBeTruthy();
    expect(screen.getByText('42 to 60 days between waterings')).toBeTruthy();
    expect(screen.getByText(/7 to 10 days for each inch of pot.*common practice/)).toBeTruthy();
  });
  it('asks which gallon, and takes the answer', async () => {
    show();
    await userEvent.type(screen.getByLabelText('Type it as you hear it'), '20 ml to 1 gallon, 10 litres');
    await userEvent.click(screen.getByRole('button', { name: 'imperial gallons?' }));
    expect(screen.queryByRole('button', { name: 'imperial gallons?' })).toBeNull();
    expect(screen.getByText(/^44 ml/)).toBeTruthy();
  });
  it('says beside the field what cannot be', async () => {
    show('/bench?sum=succulent');
    await userEvent.clear(screen.getByLabelText('pot across'));
    await userEvent.type(screen.getByLabelText('pot across'), 'big');
    expect(screen.getByRole('alert').textContent).toBe('"big" is not a number');
  });
  it('has every sum at hand', async () => {
    show();
    await userEvent.click(screen.getByRole('button', { name: 'Roof water' }));
    expect(screen.getByText('How much rain comes off the roof, and when is the barrel full?')).toBeTruthy();
  });
});

import { expect, it } from '@jest/globals';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, useLocation, useNavigate } from 'react-router';
import { useTextParam } from './useTextParam.ts';

function Field() {
  const [text, write] = useTextParam('find');
  const navigate = useNavigate();
  return (
    <>
      <input aria-label="find" value={text} onChange={(event) => write(event.target.value)} />
      <button onClick={() => void navigate('/?find=yew')}>yew</button>
      <output>{useLocation().search}</output>
    </>
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>('find');
const address = () => screen.getByRole('status').textContent;

it('holds every letter at once, and its words stand in the address without what else was there', async () => {
  render(<Field />, { wrapper: ({ children }) => <MemoryRouter initialEntries={['/?find=pear&from=25']}>{children}</MemoryRouter> });
  expect(field().value).toBe('pear');
  await userEvent.type(field(), ' rust');
  expect(field().value).toBe('pear rust');
  await waitFor(() => expect(address()).toBe('?find=pear+rust'));
  expect(field().value).toBe('pear rust');
  await userEvent.clear(field());
  await waitFor(() => expect(address()).toBe(''));
});

it('follows the address when somebody goes to another', async () => {
  render(<Field />, { wrapper: ({ children }) => <MemoryRouter initialEntries={['/']}>{children}</MemoryRouter> });
  await userEvent.type(field(), 'box');
  await userEvent.click(screen.getByText('yew'));
  expect(field().value).toBe('yew');
  expect(address()).toBe('?find=yew');
});

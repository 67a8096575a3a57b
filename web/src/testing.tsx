import type { ReactElement } from 'react';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { SchemeProvider } from './app/scheme.tsx';

/** Renders with colours and a place in the application, as every view expects. */
export const renderInk = (ui: ReactElement) =>
  render(
    <MemoryRouter>
      <SchemeProvider>{ui}</SchemeProvider>
    </MemoryRouter>,
  );

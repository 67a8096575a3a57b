import type { ReactElement } from 'react';
import { render } from '@testing-library/react';
import { SchemeProvider } from './app/scheme.tsx';

/** Renders with colours, as every view expects. */
export const renderInk = (ui: ReactElement) => render(<SchemeProvider>{ui}</SchemeProvider>);

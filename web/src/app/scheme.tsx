import { createContext, use, useMemo, useState, type ReactNode } from 'react';
import { ThemeProvider } from 'styled-components';
import { GlobalStyle } from '../theme/GlobalStyle.ts';
import { day, night } from '../theme/tokens.ts';

export type Scheme = 'day' | 'night';
const STORAGE_KEY = 'sounding.scheme';
const SchemeContext = createContext<[Scheme, () => void]>(['day', () => undefined]);

function firstScheme(): Scheme {
  const kept = localStorage.getItem(STORAGE_KEY);
  if (kept === 'day' || kept === 'night') return kept;
  return typeof matchMedia === 'function' && matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day';
}

/** Day or night colours: the system's choice until somebody makes their own. */
export function SchemeProvider({ children }: { children: ReactNode }) {
  const [scheme, setScheme] = useState(firstScheme);
  const value = useMemo((): [Scheme, () => void] => {
    const toggle = () => {
      const next = scheme === 'day' ? 'night' : 'day';
      localStorage.setItem(STORAGE_KEY, next);
      setScheme(next);
    };
    return [scheme, toggle];
  }, [scheme]);
  return (
    <SchemeContext value={value}>
      <ThemeProvider theme={scheme === 'night' ? night : day}>
        <GlobalStyle />
        {children}
      </ThemeProvider>
    </SchemeContext>
  );
}

export const useScheme = (): [Scheme, () => void] => use(SchemeContext);

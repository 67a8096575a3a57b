import { useNavigate } from 'react-router';
import { useKeys } from './useKeys.ts';

/** Ctrl Enter goes on to the next part of a call, from wherever the cursor stands on the view. */
export function useOnward(to: string): void {
  const navigate = useNavigate();
  useKeys((event) => {
    if (event.key !== 'Enter' || !event.ctrlKey || event.defaultPrevented) return;
    event.preventDefault();
    void navigate(to);
  });
}

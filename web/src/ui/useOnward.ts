import { useEffect } from 'react';
import { useNavigate } from 'react-router';

/** Ctrl Enter goes on to the next part of a call, from wherever the cursor stands on the view. */
export function useOnward(to: string): void {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Enter' || !event.ctrlKey || event.defaultPrevented) return;
      event.preventDefault();
      void navigate(to);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate, to]);
}

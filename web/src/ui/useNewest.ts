import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';

/** So near its end a box is taken to stand at it. */
const AT_END_PX = 4;

/**
 * Keeps what was added last in sight: the box is scrolled to its end when `count` grows, and stays there while it becomes smaller, until
 * somebody scrolls back. What is there when the view opens begins at its top.
 */
export function useNewest<Box extends HTMLElement>(count: number): RefObject<Box | null> {
  const box = useRef<Box | null>(null);
  const known = useRef(count);
  const follows = useRef(false);
  useLayoutEffect(() => {
    const grew = count > known.current;
    known.current = count;
    if (!grew || !box.current) return;
    follows.current = true;
    box.current.scrollTop = box.current.scrollHeight;
  }, [count]);
  useEffect(() => {
    const element = box.current;
    if (!element) return undefined;
    const mind = () => (follows.current &&= element.scrollTop + element.clientHeight >= element.scrollHeight - AT_END_PX);
    element.addEventListener('scroll', mind);
    if (typeof ResizeObserver === 'undefined') return () => element.removeEventListener('scroll', mind);
    const observer = new ResizeObserver(() => {
      if (follows.current) element.scrollTop = element.scrollHeight;
    });
    observer.observe(element);
    return () => {
      element.removeEventListener('scroll', mind);
      observer.disconnect();
    };
  }, []);
  return box;
}

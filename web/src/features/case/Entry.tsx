import { useImperativeHandle, useLayoutEffect, useRef, type KeyboardEvent, type Ref } from 'react';
import { styled } from 'styled-components';

const Line = styled.input`
  width: 100%;
  font-size: 18px;
  padding: 8px 12px;
  border-radius: 3px;
  border: 1px solid ${({ theme }) => theme.deepSoft};
  background: ${({ theme }) => theme.sheet};
  color: ${({ theme }) => theme.ink};
  &::placeholder {
    color: ${({ theme }) => theme.inkSoft};
  }
  &:focus-visible {
    outline: 3px solid ${({ theme }) => theme.focus};
    outline-offset: 0;
  }
`;

interface Props {
  ref?: Ref<HTMLInputElement>;
  draft: string;
  onDraft: (text: string) => void;
  onKeyDown?: (event: KeyboardEvent<HTMLInputElement>) => void;
}

/** The line the caller's words go in: ready to be typed in as soon as it is there, behind what it holds already. */
export function Entry({ ref, draft, onDraft, onKeyDown }: Props) {
  const line = useRef<HTMLInputElement>(null);
  useImperativeHandle(ref, () => line.current!, []);
  useLayoutEffect(() => {
    const end = line.current?.value.length ?? 0;
    line.current?.focus();
    line.current?.setSelectionRange(end, end);
  }, []);
  return (
    <Line
      ref={line}
      value={draft}
      onChange={(event) => onDraft(event.target.value)}
      onKeyDown={onKeyDown}
      aria-label="What the caller says"
      placeholder="Type what the caller says, Enter to take it in"
      autoComplete="off"
      spellCheck={false}
    />
  );
}

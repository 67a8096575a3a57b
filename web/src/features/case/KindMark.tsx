import { styled } from 'styled-components';
import type { CauseKind } from '@sounding/core/edition/causes.ts';
import { KIND_WORDS } from './words.ts';

/** Shapes by what sort of thing is at work: round = infection, wedge = animal, square = site and care, bar = normal. */
const SHAPES: Record<CauseKind, 'round' | 'wedge' | 'square' | 'bar' | 'open'> = {
  normal: 'bar',
  fungus: 'round',
  oomycete: 'round',
  bacterium: 'round',
  virus: 'round',
  nematode: 'wedge',
  insect: 'wedge',
  mite: 'wedge',
  mollusc: 'wedge',
  animal: 'wedge',
  plant: 'square',
  nutrient: 'square',
  water: 'square',
  temperature: 'square',
  light: 'square',
  chemical: 'square',
  mechanical: 'square',
  cultural: 'square',
  unlisted: 'open',
};

const Word = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 5px;
  font-size: 13px;
  color: ${({ theme }) => theme.inkSoft};
  white-space: nowrap;
  svg {
    flex: none;
  }
`;

export function KindMark({ kind }: { kind: CauseKind }) {
  const shape = SHAPES[kind];
  return (
    <Word>
      <svg width="9" height="9" viewBox="0 0 9 9" aria-hidden="true" fill="currentColor">
        {shape === 'round' && <circle cx="4.5" cy="4.5" r="4" />}
        {shape === 'wedge' && <path d="M4.5 0.5 9 8.5H0z" />}
        {shape === 'square' && <rect x="0.5" y="0.5" width="8" height="8" />}
        {shape === 'bar' && <rect y="3" width="9" height="3" />}
        {shape === 'open' && <circle cx="4.5" cy="4.5" r="3.6" fill="none" stroke="currentColor" />}
      </svg>
      {KIND_WORDS[kind]}
    </Word>
  );
}

import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import type { InspectionFigureId } from '@sounding/core/edition/inspections.ts';
import { LEAF_AND_TWIG } from './drawings/leafAndTwig.tsx';
import { ROOT_AND_GROUND } from './drawings/rootAndGround.tsx';

/** What a step looks like, drawn in the ink of the text around it: a hand, a tool, a place on the plant. */
const Drawing = styled.svg`
  width: 100%;
  max-width: 300px;
  height: auto;
  overflow: visible;
  stroke: currentColor;
  fill: none;
  stroke-width: 2;
  stroke-linecap: round;
  stroke-linejoin: round;
  .shade {
    fill: currentColor;
    fill-opacity: 0.3;
    stroke: none;
  }
  .solid {
    fill: currentColor;
    stroke: none;
  }
  .white {
    fill: ${({ theme }) => theme.sheet};
  }
  .thin {
    stroke-width: 1;
  }
  .act {
    stroke: ${({ theme }) => theme.brass};
  }
  .act-fill {
    fill: ${({ theme }) => theme.brass};
    stroke: none;
  }
  text {
    font:
      600 11px 'Source Sans 3',
      sans-serif;
    fill: currentColor;
    stroke: none;
  }
`;

const FIGURES: Record<InspectionFigureId, ReactNode> = { ...LEAF_AND_TWIG, ...ROOT_AND_GROUND };

/** The drawing of a step; nothing where the words are plain enough. */
export function InspectionFigure({ figure }: { figure: InspectionFigureId | undefined }) {
  const drawn = figure === undefined ? undefined : FIGURES[figure];
  return drawn ? (
    <Drawing viewBox="0 0 200 120" aria-hidden="true">
      {drawn}
    </Drawing>
  ) : null;
}

import { useEffect, useRef, useState, type PointerEvent } from 'react';
import { styled } from 'styled-components';
import type { ColourClass } from '@sounding/core/photo/classes.ts';
import type { Point } from '@sounding/core/photo/mask.ts';
import { NO_LEAF, type Segmented } from '@sounding/core/photo/segment.ts';
import type { LoadedPhoto } from './loadPhoto.ts';
import type { Drawn, Tool } from './photoState.ts';

const Frame = styled.div`
  position: relative;
  border: 1px solid ${({ theme }) => theme.rule};
  background: ${({ theme }) => theme.sheet};
  touch-action: none;
  cursor: crosshair;
  img,
  canvas,
  svg {
    display: block;
    width: 100%;
    height: auto;
  }
  canvas,
  svg {
    position: absolute;
    inset: 0;
    height: 100%;
  }
  .keep {
    stroke: #1c5d7a;
  }
  .out {
    stroke: #9b2f22;
    stroke-dasharray: 6 4;
  }
  .size {
    stroke: #7d520c;
  }
  .halo {
    stroke: #fff;
  }
`;

/** How each class is laid over the picture: strong for damage, hardly for what is sound. */
const INK: Record<string, readonly [number, number, number, number]> = {
  yellow: [255, 214, 0, 150],
  brown: [170, 40, 0, 160],
  dark: [20, 0, 60, 190],
  orange: [255, 96, 0, 170],
  purple: [190, 0, 120, 160],
  white: [0, 130, 200, 150],
  glare: [120, 120, 120, 190],
};

function paint(canvas: HTMLCanvasElement, { width, height, labels }: Segmented, classes: readonly ColourClass[]): void {
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d');
  if (!context) return;
  const image = context.createImageData(width, height);
  const inks = classes.map(({ id }) => INK[id] ?? [0, 0, 0, 0]);
  labels.forEach((label, i) => {
    // what is no leaf is greyed, so that a wrong outline is seen at once
    const ink = label === NO_LEAF ? ([236, 232, 221, 150] as const) : inks[label];
    if (ink) image.data.set(ink, i * 4);
  });
  context.putImageData(image, 0, 0);
}

const path = (points: readonly Point[], closed: boolean) => `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}${closed ? 'Z' : ''}`;

interface Props {
  photo: LoadedPhoto;
  drawn: Drawn;
  cut: Segmented | null;
  classes: readonly ColourClass[];
  overlay: boolean;
  tool: Tool;
  onStroke: (stroke: readonly Point[]) => void;
}

/** The picture with what was read and drawn over it. */
export function PhotoCanvas({ photo, drawn, cut, classes, overlay, tool, onStroke }: Props) {
  const over = useRef<HTMLCanvasElement>(null);
  const [stroke, setStroke] = useState<Point[]>([]);
  const { width, height } = photo.pixels;
  useEffect(() => {
    if (over.current && cut) paint(over.current, cut, classes);
  }, [cut, classes, overlay]);
  const placeOf = (event: PointerEvent<HTMLElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: ((event.clientX - box.left) / box.width) * width, y: ((event.clientY - box.top) / box.height) * height };
  };
  const thin = Math.max(1.5, width / 400);
  const lines = [
    { points: drawn.ruler, className: 'size' },
    { points: drawn.coin, className: 'size' },
    { points: drawn.wound, className: 'out' },
    { points: drawn.trunk, className: 'keep' },
  ];
  const outlines = [
    ...drawn.keep.map((points) => ({ points, className: 'keep' })),
    ...drawn.leaveOut.map((points) => ({ points, className: 'out' })),
  ];
  const drawing = tool === 'keep' || tool === 'leave-out' ? stroke : [stroke[0], stroke.at(-1)].filter((p): p is Point => p !== undefined);
  const shapes = [
    ...outlines.map(({ points, className }) => ({ d: path(points, true), className })),
    ...lines.flatMap(({ points, className }) => (points ? [{ d: path(points, false), className }] : [])),
    ...(drawing.length > 1 ? [{ d: path(drawing, false), className: 'size' }] : []),
  ];
  return (
    <Frame
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        setStroke([placeOf(event)]);
      }}
      onPointerMove={(event) => stroke.length > 0 && setStroke([...stroke, placeOf(event)])}
      onPointerUp={(event) => {
        onStroke([...stroke, placeOf(event)]);
        setStroke([]);
      }}
      onPointerCancel={() => setStroke([])}
    >
      <img src={photo.url} alt={photo.name} width={width} height={height} draggable={false} />
      {cut && overlay && <canvas ref={over} aria-hidden="true" />}
      <svg viewBox={`0 0 ${width} ${height}`} fill="none" aria-hidden="true">
        {shapes.map(({ d, className }, i) => (
          <g key={i} strokeWidth={thin} strokeLinecap="round">
            <path className="halo" strokeWidth={thin * 2.4} d={d} />
            <path className={className} d={d} />
          </g>
        ))}
        {drawn.coin && (
          <circle
            className="size"
            strokeWidth={thin}
            cx={(drawn.coin[0].x + drawn.coin[1].x) / 2}
            cy={(drawn.coin[0].y + drawn.coin[1].y) / 2}
            r={Math.hypot(drawn.coin[0].x - drawn.coin[1].x, drawn.coin[0].y - drawn.coin[1].y) / 2}
          />
        )}
      </svg>
    </Frame>
  );
}

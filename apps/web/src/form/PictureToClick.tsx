import { type KeyboardEvent, type MouseEvent, useState } from 'react';
import { pictureUrl } from '../bench/UnderlayPicture.js';

/** A place in a picture, px. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface PictureToClickProps {
  readonly picture: string;
  readonly size: { readonly width: number; readonly height: number };
  /** Two ends of a length, and the foot on the axis, as far as they are set. */
  readonly spots: readonly Spot[];
  readonly onPlace: (spot: Spot) => void;
}

/** A picture in which places are set: by clicking, or with a cross that the arrow keys move (Shift: by one pixel). */
export function PictureToClick({ picture, size, spots, onPlace }: PictureToClickProps) {
  /** Where the keyboard's cross is; there once an arrow key was pressed. */
  const [cross, setCross] = useState<Spot | null>(null);
  const click = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    onPlace({
      x: ((event.clientX - box.left) / box.width) * size.width,
      y: ((event.clientY - box.top) / box.height) * size.height,
    });
  };
  const press = (event: KeyboardEvent) => {
    const from = cross ?? { x: size.width / 2, y: size.height / 2 };
    const arrow = ARROWS[event.key];
    const step = event.shiftKey ? 1 : size.width / 50;
    if (arrow) setCross({ x: from.x + arrow[0] * step, y: from.y + arrow[1] * step });
    else if (event.key === 'Enter' || event.key === ' ') onPlace(from);
    else return;
    event.preventDefault();
  };
  return (
    <svg
      viewBox={`0 0 ${size.width} ${size.height}`}
      className="mx-auto max-h-[56vh] w-full cursor-crosshair border border-line bg-white"
      role="application"
      tabIndex={0}
      aria-label="The picture: click, or move the cross with the arrow keys and press Enter"
      onClick={click}
      onKeyDown={press}
    >
      <image href={pictureUrl(picture)} width={size.width} height={size.height} />
      {spots.length > 1 && (
        <line
          x1={spots[0]!.x}
          y1={spots[0]!.y}
          x2={spots[1]!.x}
          y2={spots[1]!.y}
          stroke="#0d6470"
          strokeWidth={size.width / 300}
        />
      )}
      {cross && (
        <path
          d={`M${cross.x} 0V${size.height}M0 ${cross.y}H${size.width}`}
          stroke="#9f3f12"
          strokeWidth={size.width / 600}
        />
      )}
      {spots.map(({ x, y }, i) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={size.width / 120}
          fill={i === 2 ? '#9f3f12' : '#0d6470'}
          stroke="#fff"
          strokeWidth={size.width / 500}
        />
      ))}
    </svg>
  );
}

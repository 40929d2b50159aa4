import { formatLength, mm } from '@fellside/core';
import type { KeyboardEvent, ReactNode } from 'react';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { stepOf } from './steps.js';
import type { useDrag } from './useDrag.js';

interface HandleProps {
  readonly name: string;
  /** What it stands at, mm, as it is told. */
  readonly valueMm: number;
  readonly says: string;
  readonly drag: ReturnType<typeof useDrag>;
  /** An arrow key pressed: outwards and upwards are positive, mm. */
  readonly onNudge: (outMm: number, upMm: number) => void;
  readonly onRemove?: (() => void) | undefined;
  readonly onAdd?: (() => void) | undefined;
  readonly cursor: string;
  readonly children: ReactNode;
}

const ARROWS: Readonly<Record<string, readonly [out: number, up: number]>> = {
  ArrowLeft: [1, 0],
  ArrowRight: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Something on the drawing that can be dragged, nudged with the arrow keys (finer with Shift), added to and removed. */
export function Handle({
  name,
  valueMm,
  says,
  drag,
  onNudge,
  onRemove,
  onAdd,
  cursor,
  children,
}: HandleProps) {
  const units = useApp(unitsOf);
  const press = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    const step = stepOf(units, event.shiftKey);
    if (arrow) onNudge(arrow[0] * step, arrow[1] * step);
    else if (onRemove && (event.key === 'Delete' || event.key === 'Backspace')) onRemove();
    else if (onAdd && event.key === 'Insert') onAdd();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={Math.round(valueMm * 100) / 100}
      aria-valuetext={`${formatLength(mm(valueMm), units)}${says}`}
      className="group touch-none outline-none"
      style={{ cursor }}
      onKeyDown={press}
      {...drag}
    >
      <title>{name}</title>
      {children}
    </g>
  );
}

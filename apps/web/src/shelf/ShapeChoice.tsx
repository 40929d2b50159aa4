import { outsideLine, STARTING_SHAPES, startingForm, vesselOf } from '@fellside/core';
import { linePath } from '../ui/path.js';

const BOX = 72;

/** The starting shapes as small silhouettes, one of them chosen. */
export function ShapeChoice({ onChoose }: { onChoose: (shape: (typeof STARTING_SHAPES)[number]) => void }) {
  return (
    <fieldset className="col-span-4 grid grid-cols-8 gap-2">
      <legend className="mb-1 text-xs text-quiet">Shape</legend>
      {STARTING_SHAPES.map((shape, i) => (
        <label
          key={shape.id}
          className="flex cursor-pointer flex-col items-center rounded border border-line bg-raised p-2 text-center has-checked:border-teal has-checked:bg-teal-wash has-focus-visible:outline-2 has-focus-visible:outline-teal"
        >
          <input
            type="radio"
            name="shape"
            value={shape.id}
            defaultChecked={i === 0}
            className="sr-only"
            onChange={() => onChoose(shape)}
          />
          <Silhouette shape={shape} />
          <span className="font-semibold">{shape.name}</span>
          <span className="text-xs text-quiet">{shape.says}</span>
        </label>
      ))}
    </fieldset>
  );
}

function Silhouette({ shape }: { shape: (typeof STARTING_SHAPES)[number] }) {
  const vessel = vesselOf(startingForm(shape, 100 * shape.proportion, 100, 4));
  if (!vessel.ok) return null;
  const scale = Math.min(BOX / vessel.value.heightMm, BOX / 100);
  const y = (height: number) => BOX - height * scale;
  const line = outsideLine(vessel.value);
  const right = linePath(line, { x: (r) => BOX / 2 + r * scale, y });
  const left = linePath([...line].reverse(), { x: (r) => BOX / 2 - r * scale, y }).replace('M', 'L');
  return (
    <svg width={BOX} height={BOX} aria-hidden>
      <path d={`${right}${left}Z`} fill="var(--color-line)" stroke="var(--color-teal)" strokeWidth="1.5" />
    </svg>
  );
}

import {
  formatLength,
  mm,
  type Species,
  type Step,
  type StepPicture,
  sentenceIn,
  type UnitSystem,
} from '@fellside/core';
import { WoodPatterns, woodFill } from '../ui/WoodPatterns.js';
import { outlinePath } from './outline.js';

interface StepPicturesProps {
  readonly pictures: readonly StepPicture[];
  /** The steps that the pictures show, numbered as below. */
  readonly steps: readonly Step[];
  /** Palette key of every place of the ring. */
  readonly woods: readonly string[];
  readonly palette: ReadonlyMap<string, Species>;
  readonly units: UnitSystem;
}

/** Height of a picture over its width, at most and at least, so that a row of them stays even. */
const SHAPE = { least: 0.3, most: 1.1 } as const;

/** The steps of a glue-up, a picture for each: board, slices, block, segment, ring. */
export function StepPictures({ pictures, steps, woods, palette, units }: StepPicturesProps) {
  const numberOf = ({ step }: StepPicture) => steps.findIndex(({ id }) => id === step) + 1;
  return (
    <ol className="grid grid-cols-[repeat(auto-fill,minmax(195px,1fr))] gap-3" aria-label="Steps as pictures">
      {pictures.map((picture, i) => (
        <li key={picture.title} className="rounded border border-line bg-pane p-2">
          <PictureDrawing picture={picture} prefix={`step${i}`} {...{ woods, palette, units }} />
          <p className="mt-1 text-sm">
            <b>
              {numberOf(picture)} · {picture.title}
            </b>{' '}
            <span className="text-quiet">{sentenceIn(picture.says, units)}</span>
          </p>
        </li>
      ))}
    </ol>
  );
}

function boundsOf({ parts, lines }: StepPicture) {
  const points = [...parts.flatMap(({ outline }) => outline), ...lines.flatMap(({ from, to }) => [from, to])];
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}

const LINES = {
  cut: { stroke: '#b3261e', dash: '' },
  trim: { stroke: 'var(--color-teal)', dash: '6 4' },
  edge: { stroke: '#1d2527', dash: '' },
} as const;

interface PictureProps extends Omit<StepPicturesProps, 'pictures' | 'steps'> {
  readonly picture: StepPicture;
  /** Begins the ids of the patterns, to keep drawings on a page apart. */
  readonly prefix: string;
  /** How high it is. */
  readonly className?: string;
}

/** One step of a glue-up as it is drawn. */
export function PictureDrawing({ picture, prefix, woods, palette, units, className = 'h-44' }: PictureProps) {
  const { left, right, low, high } = boundsOf(picture);
  const wide = Math.max(right - left, (high - low) / SHAPE.most, 1e-6);
  const tall = Math.max(high - low, wide * SHAPE.least);
  const room = Math.max(wide, tall) * 0.16;
  const text = Math.max(wide, tall * 1.3) / 17;
  const box = [
    (left + right - wide) / 2 - room,
    -(low + high + tall) / 2 - room,
    wide + 2 * room,
    tall + 2 * room,
  ].join(' ');
  return (
    <svg
      viewBox={box}
      className={`wood-ground w-full rounded ${className}`}
      role="img"
      aria-label={`${picture.title}: ${sentenceIn(picture.says, units)}`}
    >
      <WoodPatterns woods={palette.values()} hatched={false} prefix={prefix} />
      <g transform="scale(1 -1)">
        {picture.parts.map(({ outline, place, holes = [] }, i) => (
          <path
            // Parts are drawn over each other in their order, which is all that tells them apart.
            key={i}
            d={[outline, ...holes].map(outlinePath).join('')}
            fillRule="evenodd"
            fill={place === null ? 'none' : woodFill(palette.get(woods[place]!), prefix)}
            stroke="#1d2527"
            strokeWidth="0.6"
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {picture.lines.map(({ from, to, is }) => (
          <path
            key={`${is} ${from.x} ${from.y} ${to.x} ${to.y}`}
            d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
            stroke={LINES[is].stroke}
            strokeDasharray={LINES[is].dash}
            strokeWidth="1.4"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </g>
      {picture.sizes.map((size) => (
        <Size
          key={`${size.from.x} ${size.from.y} ${size.to.x} ${size.to.y}`}
          size={size}
          text={text}
          units={units}
        />
      ))}
    </svg>
  );
}

/** A length beside the line that it is about: level ones below, upright ones beside. */
function Size({
  size: { from, to, mm: length },
  text,
  units,
}: {
  size: StepPicture['sizes'][number];
  text: number;
  units: UnitSystem;
}) {
  const level = Math.abs(to.x - from.x) >= Math.abs(to.y - from.y);
  const [x, y] = [(from.x + to.x) / 2, -(from.y + to.y) / 2];
  const [dx, dy] = level ? [0, text * 0.45] : [text * 0.45, 0];
  const said = formatLength(mm(length), units);
  return (
    <g fill="#1d2527" fontSize={text}>
      <path
        d={`M${from.x + dx} ${-from.y + dy}L${to.x + dx} ${-to.y + dy}`}
        stroke="#1d2527"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
      {level ? (
        <text x={x} y={y + text * 1.45} textAnchor="middle">
          {said}
        </text>
      ) : (
        <text transform={`translate(${x + text * 1.35} ${y}) rotate(-90)`} textAnchor="middle">
          {said}
        </text>
      )}
    </g>
  );
}

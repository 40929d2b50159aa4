import {
  crosscutMarks,
  drawnPieces,
  formatLength,
  type LaidBoard,
  type LaidStrip,
  laidContents,
  mm,
  type Owner,
  type Roll,
  type Species,
  type UnitSystem,
  type WoodLayout,
  whoseSaid,
} from '@fellside/core';
import { useMemo } from 'react';
import { unitsOf } from '../../store/house.js';
import { isIn } from '../../store/selection.js';
import { useApp } from '../../store/store.js';
import { woodFill } from '../../ui/WoodPatterns.js';

interface BoardDrawingProps {
  readonly laid: LaidBoard;
  readonly kinds: WoodLayout['kinds'];
  readonly species: Species | undefined;
  /** Px a mm. */
  readonly scale: number;
  readonly roll: Roll;
  readonly onOwner: (owner: Owner) => void;
  /** Whether crosscuts are marked with their distance from the end, strips with their numbers. */
  readonly marked?: boolean;
}

/** Words need so much height, and each letter so much width (px). */
const WORDS = 8;
const LETTER = 5;

/** A board to scale: its strips with their pieces, defects, and what is left of it. A click on a piece selects what it goes to. */
export function BoardDrawing({
  laid,
  kinds,
  species,
  scale,
  roll,
  onOwner,
  marked = false,
}: BoardDrawingProps) {
  const units = useApp(unitsOf);
  const selected = useApp((state) => state.session.selected);
  const isSelected = useMemo(() => isIn(selected), [selected]);
  const { stock, strips, offcuts } = laid;
  const [width, height] = [stock.lengthMm * scale, stock.widthMm * scale];
  const under = marked ? MARKS : 0;
  const y = (up: number) => height - up * scale;
  const box = (part: { xMm: number; yMm: number; lengthMm: number; widthMm: number }) => ({
    x: part.xMm * scale,
    y: y(part.yMm + part.widthMm),
    width: part.lengthMm * scale,
    height: part.widthMm * scale,
  });
  const fill = species ? woodFill(species, 'boards') : '#999999';
  return (
    <svg
      width={width + 2}
      height={height + 2 + under}
      viewBox={`-1 -1 ${width + 2} ${height + 2 + under}`}
      role="img"
      aria-label={`${strips.length} strips on a board of ${formatLength(mm(stock.lengthMm), units)} × ${formatLength(mm(stock.widthMm), units)}`}
      className="block"
    >
      <rect
        width={width}
        height={height}
        fill={fill}
        fillOpacity="0.28"
        stroke="var(--color-ink)"
        strokeOpacity="0.5"
      />
      {strips.map((strip, i) => (
        <Strip
          key={`${strip.xMm} ${strip.yMm}`}
          {...{ strip, scale, y, fill, isSelected, roll, onOwner }}
          number={marked ? i + 1 : null}
          kind={kinds[strip.kind]!}
        />
      ))}
      {offcuts.map((offcut) => (
        <rect
          key={`${offcut.xMm} ${offcut.yMm}`}
          {...box(offcut)}
          fill="none"
          stroke="var(--color-ink)"
          strokeOpacity="0.55"
          strokeDasharray="5 4"
        >
          <title>
            {`Kept: ${formatLength(mm(offcut.lengthMm), units)} × ${formatLength(mm(offcut.widthMm), units)}`}
          </title>
        </rect>
      ))}
      {marked && <Marks {...{ laid, scale, width, height, units }} />}
      {(stock.board?.defects ?? []).map((defect) => (
        <g key={`${defect.xMm} ${defect.yMm}`}>
          <rect {...box(defect)} fill="#1d2527" fillOpacity="0.55" stroke="#1d2527">
            <title>{defect.kind}</title>
          </rect>
        </g>
      ))}
    </svg>
  );
}

interface StripProps extends Pick<BoardDrawingProps, 'scale' | 'roll' | 'onOwner'> {
  readonly strip: LaidStrip;
  readonly kind: WoodLayout['kinds'][number];
  readonly y: (up: number) => number;
  readonly fill: string;
  readonly isSelected: (owner: Owner | null) => boolean;
  readonly number: number | null;
}

function Strip({ strip, kind, scale, y, fill, isSelected, number, roll, onOwner }: StripProps) {
  const pieces = drawnPieces(strip, kind);
  const last = Math.max(...pieces.flatMap(({ outline }) => outline.map((p) => p.x)));
  const says = laidContents(strip)
    .map((content) => `${whoseSaid(content, roll)} · ${content.count}`)
    .join(', ');
  const resawn = strip.leaves.length > 1 ? `, resawn into ${strip.leaves.length}` : '';
  const tall = strip.widthMm * scale;
  const end = last * scale + 6;
  const room = (strip.xMm + strip.lengthMm) * scale - end;
  const first = number === null ? '' : `${number}: `;
  const short = `${first}${says.replaceAll('ring ', '').replaceAll('test piece', 't').replaceAll('spare', 's')}`;
  const label = [`${first}${says}${resawn}`, short, short.split(' · ')[0]!].find(
    (words) => LETTER * words.length < room,
  );
  return (
    <g>
      <rect
        x={strip.xMm * scale}
        y={y(strip.yMm + strip.widthMm)}
        width={strip.lengthMm * scale}
        height={tall}
        fill="var(--color-pane)"
        fillOpacity="0.6"
        stroke="var(--color-ink)"
        strokeOpacity="0.3"
        strokeWidth="0.6"
      >
        <title>{`${says}${resawn}`}</title>
      </rect>
      {pieces.map(({ piece, outline }) => {
        const { owner } = piece;
        const whose = whoseSaid(piece, roll);
        const lit = isSelected(owner);
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the saw's list does the same by the keyboard
          <path
            key={piece.fromMm}
            data-piece={whose}
            d={`M${outline.map((p) => `${(p.x * scale).toFixed(2)} ${y(p.y).toFixed(2)}`).join('L')}Z`}
            fill={fill}
            fillOpacity={owner ? 1 : 0.45}
            stroke={lit ? 'var(--color-teal)' : '#1d2527'}
            strokeOpacity={lit ? 1 : 0.5}
            strokeWidth={lit ? 2 : 0.6}
            className={owner ? 'cursor-pointer' : ''}
            onClick={() => owner && onOwner(owner)}
          >
            <title>{whose}</title>
          </path>
        );
      })}
      {tall >= WORDS && label && (
        <text
          x={end}
          y={y(strip.yMm + strip.widthMm / 2) + 3.2}
          fontSize="9"
          fill="var(--color-ink)"
          pointerEvents="none"
        >
          {label}
        </text>
      )}
    </g>
  );
}

/** Room for the distances of crosscuts below a board, px. */
const MARKS = 34;

/** Where a board is crosscut: lines across it, and distances from its left end below; those that would collide in two rows. */
function Marks({
  laid,
  scale,
  width,
  height,
  units,
}: Pick<BoardDrawingProps, 'laid' | 'scale'> & { width: number; height: number; units: UnitSystem }) {
  let [reached, low] = [Number.NEGATIVE_INFINITY, false];
  return crosscutMarks(laid).map((mark) => {
    const x = mark * scale;
    const words = formatLength(mm(mark), units);
    const at = Math.max(2, Math.min(x, width - 7 * words.length));
    low = at < reached && !low;
    reached = Math.max(reached, at + 7 * words.length + 8);
    return (
      <g key={mark}>
        <path d={`M${x} 0V${height + (low ? 20 : 6)}`} stroke="var(--color-teal)" strokeWidth="1.5" />
        <text x={at + 3} y={height + (low ? 31 : 17)} fontSize="12" fill="var(--color-ink)">
          {words}
        </text>
      </g>
    );
  });
}

import {
  drawnPieces,
  formatLength,
  type LaidBoard,
  type LaidStrip,
  mm,
  type Owner,
  type Species,
  type WoodLayout,
} from '@fellside/core';
import { useMemo } from 'react';
import { isIn } from '../../store/selection.js';
import { unitsOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { woodFill } from '../../ui/WoodPatterns.js';

interface BoardDrawingProps {
  readonly laid: LaidBoard;
  readonly kinds: WoodLayout['kinds'];
  readonly species: Species | undefined;
  /** Px a mm. */
  readonly scale: number;
  readonly nameOf: (owner: Owner) => string;
  readonly onOwner: (owner: Owner) => void;
}

/** Words need so much height, and each letter so much width (px). */
const WORDS = 8;
const LETTER = 5;

/** A board to scale: its strips with their pieces, defects, and what is left of it. A click on a piece selects what it goes to. */
export function BoardDrawing({ laid, kinds, species, scale, nameOf, onOwner }: BoardDrawingProps) {
  const units = useApp(unitsOf);
  const selected = useApp((state) => state.session.selected);
  const isSelected = useMemo(() => isIn(selected), [selected]);
  const { stock, strips, offcuts } = laid;
  const [width, height] = [stock.lengthMm * scale, stock.widthMm * scale];
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
      height={height + 2}
      viewBox={`-1 -1 ${width + 2} ${height + 2}`}
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
      {strips.map((strip) => (
        <Strip
          key={`${strip.xMm} ${strip.yMm}`}
          {...{ strip, scale, y, fill, isSelected, nameOf, onOwner }}
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

interface StripProps extends Pick<BoardDrawingProps, 'scale' | 'nameOf' | 'onOwner'> {
  readonly strip: LaidStrip;
  readonly kind: WoodLayout['kinds'][number];
  readonly y: (up: number) => number;
  readonly fill: string;
  readonly isSelected: (owner: Owner | null) => boolean;
}

function Strip({ strip, kind, scale, y, fill, isSelected, nameOf, onOwner }: StripProps) {
  const pieces = drawnPieces(strip, kind);
  const last = Math.max(...pieces.flatMap(({ outline }) => outline.map((p) => p.x)));
  const counts = new Map<string, number>();
  for (const { owner } of strip.leaves.flat()) {
    const whose = owner ? nameOf(owner) : 'spare';
    counts.set(whose, (counts.get(whose) ?? 0) + 1);
  }
  const says = [...counts].map(([whose, count]) => `${whose} · ${count}`).join(', ');
  const resawn = strip.leaves.length > 1 ? `, resawn into ${strip.leaves.length}` : '';
  const tall = strip.widthMm * scale;
  const end = last * scale + 6;
  const room = (strip.xMm + strip.lengthMm) * scale - end;
  const short = says.replaceAll('ring ', '').replaceAll('spare', 's');
  const label = [`${says}${resawn}`, short, short.split(' · ')[0]!].find(
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
        const lit = isSelected(owner);
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the saw's list beside it does the same by the keyboard
          <path
            key={piece.fromMm}
            data-piece={owner ? nameOf(owner) : 'spare'}
            d={`M${outline.map((p) => `${(p.x * scale).toFixed(2)} ${y(p.y).toFixed(2)}`).join('L')}Z`}
            fill={fill}
            fillOpacity={owner ? 1 : 0.45}
            stroke={lit ? 'var(--color-teal)' : '#1d2527'}
            strokeOpacity={lit ? 1 : 0.5}
            strokeWidth={lit ? 2 : 0.6}
            className={owner ? 'cursor-pointer' : ''}
            onClick={() => owner && onOwner(owner)}
          >
            <title>{owner ? nameOf(owner) : 'spare piece'}</title>
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

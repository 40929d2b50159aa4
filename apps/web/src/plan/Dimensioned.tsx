import { formatLength, mitred, type PieceKind, type Point, type UnitSystem } from '@fellside/core';
import { Dimension } from './Dimension.js';
import { Sizes } from './PlanSizes.js';

interface DimensionedProps {
  readonly kind: PieceKind;
  readonly outline: readonly Point[];
  readonly reach: number;
  readonly text: number;
  readonly units: UnitSystem;
}

/** The sizes of one kind of piece, written at one of them. */
export function Dimensioned({ kind: { stock }, outline, reach, text, units }: DimensionedProps) {
  const piece = mitred(stock);
  if (piece && piece.cutAngle > 0) return <Sizes outline={outline} stock={piece} text={text} units={units} />;
  const [a, b, c, d] = outline as [Point, Point, Point, Point];
  if (piece)
    return (
      <Dimension
        from={a}
        to={b}
        away={text * 1.9}
        text={text}
        label={`${formatLength(piece.widthMm, units)} spacer`}
      />
    );
  if (stock.from === 'stash') return null;
  if (stock.from === 'panel' && stock.shape === 'stave')
    return (
      <>
        <Dimension from={a} to={b} away={text * 1.9} text={text} label={formatLength(stock.widthMm, units)} />
        {d && (
          <Dimension
            from={middleOf(c, d)}
            to={middleOf(a, b)}
            away={0}
            text={text}
            label={formatLength(stock.thicknessMm, units)}
          />
        )}
      </>
    );
  if (stock.from !== 'panel' || (stock.shape !== 'disc' && stock.shape !== 'plug')) return null;
  const half = stock.widthMm / 2;
  return (
    <Dimension
      from={{ x: -half, y: 0 }}
      to={{ x: half, y: 0 }}
      away={stock.shape === 'disc' ? -reach * 1.12 : 0}
      text={text}
      label={`${formatLength(stock.widthMm, units)} across`}
    />
  );
}

const middleOf = (p: Point, q: Point): Point => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 });

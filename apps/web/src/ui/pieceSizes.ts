import {
  degrees,
  formatAngle,
  formatLength,
  mitred,
  type Stock,
  trimZeros,
  type UnitSystem,
} from '@fellside/core';

const HOW = {
  'turned-over': null,
  'same-edge': 'same edge out every time',
  'two-fences': 'between two fences',
} as const;

/** Layers of a laminated board, blocks and dowels: how many there are where many pieces come from a few. */
function blockSizes(
  { shape, lengthMm, widthMm, thicknessMm, blocks, slicing }: Extract<Stock, { from: 'panel' }>,
  units: UnitSystem,
): string[] {
  if (shape === 'dowel')
    return [`${formatLength(widthMm, units)} across, ${formatLength(lengthMm, units)} long`];
  const size = [lengthMm, widthMm, thicknessMm].map((length) => formatLength(length, units)).join(' × ');
  if (shape === 'layer') return [`from ${blocks === 1 ? 'a layer' : `${blocks} layers`} ${size}`];
  return [`block ${size}`, ...(slicing ? [`for ${slicing.slices} slices`] : [])];
}

/** What a piece is sawn from and to what sizes, in words and figures. */
export function pieceSizes(stock: Stock, units: UnitSystem): string[] {
  if (stock.from === 'stash') return ['from the stash'];
  if (stock.from === 'panel') {
    const { lengthMm, widthMm, thicknessMm, narrowMm, mitre, bladeTilt } = stock;
    if (stock.shape === 'disc' || stock.shape === 'plug') return [`${formatLength(widthMm, units)} across`];
    if (stock.shape !== 'stave') return blockSizes(stock, units);
    return [
      `${formatLength(lengthMm, units)} along the grain`,
      narrowMm === widthMm
        ? `${formatLength(widthMm, units)} wide`
        : `${formatLength(widthMm, units)} to ${formatLength(narrowMm!, units)} wide`,
      `${formatLength(thicknessMm, units)} thick`,
      `blade tilted ${formatAngle(bladeTilt!)}`,
      ...(mitre! > 0 ? [`tapered ${formatAngle(mitre!)} from the grain`] : []),
    ];
  }
  const piece = mitred(stock)!;
  if (piece.cutAngle === 0)
    return [`${formatLength(piece.widthMm, units)} thick`, `${formatLength(piece.longEdgeMm, units)} long`];
  const sizes = [
    `long edge ${formatLength(piece.longEdgeMm, units)}`,
    `short edge ${formatLength(piece.shortEdgeMm, units)}`,
    `width ${formatLength(piece.widthMm, units)}`,
    `cut at ${formatAngle(piece.cutAngle)}, ${trimZeros((2 * degrees(piece.cutAngle)).toFixed(2))}° in all`,
  ];
  if (stock.from === 'slice') return [...sizes, 'sliced off the thick ring'];
  const { bladeTilt, cutting, slicing, thicknessMm } = stock;
  return [
    ...sizes,
    ...(bladeTilt > 0 ? [`blade tilted ${formatAngle(bladeTilt)}`] : []),
    ...(HOW[cutting] ? [HOW[cutting]] : []),
    ...(slicing ? [`${formatLength(thicknessMm, units)} high, for ${slicing.slices} slices`] : []),
  ];
}

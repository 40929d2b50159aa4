import { begunMotif, dividesInto, keyOfTone, type Motif } from '@fellside/core';
import { memo } from 'react';
import { projectOf } from '../store/house.js';
import { paletteOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';

const ROWS = 12;
/** Columns of a sample, of at least so many round the piece. */
const COLUMNS = 18;
const AROUND = 48;

/** A sample of a motif as it is first laid, in the woods of the piece. */
export const MotifPicture = memo(function MotifPicture({ motif }: { motif: Motif }) {
  const palette = useApp((state) => projectOf(state).palette);
  const woods = useApp(paletteOf);
  const use = begunMotif(motif);
  const unit = dividesInto(use);
  const count = unit * Math.max(1, Math.round(AROUND / unit));
  const middles = Array.from({ length: count }, (_, i) => (i + 0.5) / count);
  const colours = use.tones.map((tone) => woods.get(keyOfTone(palette, tone))?.colour ?? '#999');
  // Sectors of half the piece need more of it to be seen than small repeats do.
  const shown = motif.numbers.some(({ key }) => key === 'repeats') ? COLUMNS : count;
  const paths = colours.map(() => '');
  for (let row = 0; row < ROWS; row++)
    motif.ring({ row, rows: ROWS, middles }, use.values, use.tones.length).forEach((tone, i) => {
      if (i < shown) paths[tone] += `M${i} ${ROWS - 1 - row}h1v1h-1z`;
    });
  return (
    <svg
      aria-hidden
      viewBox={`0 0 ${shown} ${ROWS}`}
      preserveAspectRatio="none"
      className="h-11 w-full"
      shapeRendering="crispEdges"
    >
      {paths.map((d, i) => (
        <path key={i} d={d} fill={colours[i]} />
      ))}
    </svg>
  );
});

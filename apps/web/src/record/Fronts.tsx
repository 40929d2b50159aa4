import { elevationPicture, finishedPalette, type Project, prepare, rippingOf } from '@fellside/core';
import { useEffect, useMemo, useRef } from 'react';
import { shopOf, woodsOf } from '../store/house.js';
import { finishIdOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';

/** The largest of the pieces is so many pixels in its larger direction. */
const LARGEST = 260;

const sizeOf = ({ form }: Project): number =>
  Math.max(form.points.at(-1)!.heightMm, 2 * Math.max(...form.points.map(({ radiusMm }) => radiusMm)));

/** Pieces from the front beside each other, all to one scale. */
export function Fronts({
  pieces,
}: {
  pieces: readonly { readonly name: string; readonly piece: Project }[];
}) {
  const largest = Math.max(...pieces.map(({ piece }) => sizeOf(piece)));
  return (
    <div className="mt-4 flex flex-wrap items-end gap-x-8 gap-y-3">
      {pieces.map(({ name, piece }) => (
        <Front key={name} name={name} piece={piece} most={Math.round((LARGEST * sizeOf(piece)) / largest)} />
      ))}
    </div>
  );
}

function Front({ name, piece, most }: { name: string; piece: Project; most: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const finish = useApp(finishIdOf);
  const picture = useMemo(() => {
    const prepared = prepare(piece, rippingOf(shop));
    return prepared.ok
      ? elevationPicture(prepared.value, finishedPalette(piece.palette, woods, finish), most)
      : null;
  }, [piece, shop, woods, finish, most]);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!picture || !context) return;
    const { width, height, rgba } = picture;
    context.putImageData(new ImageData(new Uint8ClampedArray(rgba), width, height), 0, 0);
  }, [picture]);
  if (!picture) return null;
  return (
    <figure>
      <canvas
        ref={canvas}
        width={picture.width}
        height={picture.height}
        role="img"
        aria-label={`The piece from the front, ${name}`}
      />
      <figcaption className="mt-1 text-center text-sm text-quiet">{name}</figcaption>
    </figure>
  );
}

import type { Underlay } from '@fellside/core';
import { useEffect, useRef, useState } from 'react';
import type { Place } from '../ui/path.js';

export const pictureUrl = (key: string) => `/api/pictures/${key}`;

/** The user's own picture under the drawing, at its scale, its axis on the axis and its bench on the bench. */
export function UnderlayPicture({ underlay, at, scale }: { underlay: Underlay; at: Place; scale: number }) {
  const url = pictureUrl(underlay.picture);
  const size = usePictureSize(url);
  if (!size) return null;
  const perPixel = underlay.mmPerPixel * scale;
  return (
    <image
      href={url}
      x={at.x(0) - underlay.axisPixel * perPixel}
      y={at.y(0) - underlay.benchPixel * perPixel}
      width={size.width * perPixel}
      height={size.height * perPixel}
      opacity="0.75"
      preserveAspectRatio="none"
    />
  );
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** How large a picture is, px; null until it is there. `missing` is told when it never comes. */
export function usePictureSize(url: string | null, missing?: () => void): Size | null {
  const [size, setSize] = useState<(Size & { readonly url: string }) | null>(null);
  const told = useRef(missing);
  told.current = missing;
  useEffect(() => {
    if (!url) return;
    const picture = new Image();
    picture.onload = () => setSize({ url, width: picture.naturalWidth, height: picture.naturalHeight });
    picture.onerror = () => told.current?.();
    picture.src = url;
  }, [url]);
  return size?.url === url ? size : null;
}

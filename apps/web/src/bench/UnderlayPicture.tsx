import type { Underlay } from '@fellside/core';
import { useEffect, useState } from 'react';
import type { Place } from './path.js';

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

/** How large a picture is, px; null until it is there. */
export function usePictureSize(url: string | null): { width: number; height: number } | null {
  const [size, setSize] = useState<{ url: string; width: number; height: number } | null>(null);
  useEffect(() => {
    if (!url) return;
    const picture = new Image();
    picture.onload = () => setSize({ url, width: picture.naturalWidth, height: picture.naturalHeight });
    picture.src = url;
  }, [url]);
  return size?.url === url ? size : null;
}

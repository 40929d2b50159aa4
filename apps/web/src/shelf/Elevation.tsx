import { useEffect, useRef, useState } from 'react';
import { inTurn } from './inTurn.js';

interface ElevationProps {
  readonly url: string;
  /** Px it takes up. */
  readonly width: number;
  readonly height: number;
}

/** A piece from the side, drawn by the server; asked for in turn when it comes near the window. */
export function Elevation({ url, width, height }: ElevationProps) {
  const place = useRef<HTMLImageElement>(null);
  const done = useRef(() => {});
  const [source, setSource] = useState<string>();
  useEffect(() => {
    const ask = () => {
      done.current = inTurn(() => setSource(url));
    };
    if (typeof IntersectionObserver === 'undefined') {
      setSource(url);
      return;
    }
    const near = new IntersectionObserver(
      (seen) => {
        if (!seen.some(({ isIntersecting }) => isIntersecting)) return;
        near.disconnect();
        ask();
      },
      { rootMargin: '50%' },
    );
    near.observe(place.current!);
    return () => {
      near.disconnect();
      done.current();
    };
  }, [url]);
  return (
    <img
      ref={place}
      src={source}
      alt=""
      decoding="async"
      width={width}
      height={height}
      // Before it is asked for, its place is kept empty.
      style={{ height, visibility: source ? 'visible' : 'hidden' }}
      onLoad={() => done.current()}
      onError={() => done.current()}
    />
  );
}

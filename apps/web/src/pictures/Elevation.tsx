import { type ComponentProps, useEffect, useRef, useState } from 'react';
import { inTurn } from './inTurn.js';

interface ElevationProps extends Omit<ComponentProps<'img'>, 'src' | 'alt'> {
  readonly url: string;
}

/** A piece from the side, drawn by the server; asked for in turn when it comes near the window. */
export function Elevation({ url, style, ...size }: ElevationProps) {
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
      {...size}
      // Before it is asked for, its place is kept empty.
      style={{ ...style, visibility: source ? 'visible' : 'hidden' }}
      onLoad={() => done.current()}
      onError={() => done.current()}
    />
  );
}

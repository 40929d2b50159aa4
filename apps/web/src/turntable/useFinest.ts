import { useCallback, useRef, useState } from 'react';
import type { TakePictures } from './Scene.js';
import { COLUMNS, type Skinned, useDress, useSkin } from './useSkin.js';

/** How often it is looked whether the finest surface has come, and how often at most. */
const LOOK = 100;
const LOOKS = 1200;

/** The surface that a turntable shows, and ways to have it as fine as it gets for pictures of it. */
export function useFinest(size: 'inset' | 'panel' | 'large', glue: boolean) {
  const [still, setStill] = useState(false);
  const skin = useSkin(`skin-${size}`, COLUMNS[still ? 'still' : size], useDress(glue));
  const latest = useRef<Skinned | null>(skin);
  latest.current = skin;
  const take = useRef<TakePictures | null>(null);
  const ready = useCallback((taking: TakePictures) => {
    take.current = taking;
  }, []);
  const finest = useCallback(async (px: number) => {
    if (px <= COLUMNS.large) return take.current;
    setStill(true);
    const come = () => latest.current?.current && latest.current.skin.columns === COLUMNS.still;
    for (let looked = 0; !come() && looked < LOOKS; looked++)
      await new Promise((look) => setTimeout(look, LOOK));
    // What has come is on the canvas with the next frame.
    await new Promise(requestAnimationFrame);
    return come() ? take.current : null;
  }, []);
  const done = useCallback(() => setStill(false), []);
  return { skin, ready, finest, done };
}

import { type ToneName, toneNames } from '@fellside/core';
import { projectOf } from '../store/house.js';
import { paletteOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';

/** What a tone may be set to: those of the palette with their woods, and the one that is set if the palette lacks it. */
export function useToneChoices(): (now: ToneName) => readonly (readonly [ToneName, string])[] {
  const palette = useApp((state) => projectOf(state).palette);
  const woods = useApp(paletteOf);
  const known = toneNames(palette).map(
    (name, i) => [name, `${name}: ${woods.get(palette[i]!.key)?.name ?? palette[i]!.key}`] as const,
  );
  return (now) => (known.some(([name]) => name === now) ? known : [...known, [now, `${now}: no wood yet`]]);
}

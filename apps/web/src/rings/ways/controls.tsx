import { calledOf, type Way } from '@fellside/core';
import type { ComponentType } from 'react';
import { projectOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { shared } from '../targets.js';
import { DiscControls } from './Disc.js';
import { GlobeControls } from './Globe.js';
import type { ControlsProps } from './params.js';
import { SegmentedControls } from './Segmented.js';
import { StockControls } from './Stock.js';

/** What is set for each way of making besides its number of segments; null where there is nothing. */
const CONTROLS = {
  segmented: SegmentedControls,
  globe: GlobeControls,
  disc: DiscControls,
  stock: StockControls,
} satisfies Record<Way, ComponentType<ControlsProps> | null>;

/** More ways than this at once are too many to read. */
const MOST_AT_ONCE = 2;

/** Controls for the ways in which the chosen rings are made, a row for each. */
export function WayControls({ targets }: ControlsProps) {
  const rings = useApp((state) => projectOf(state).rings);
  const byWay = new Map<Way, number[]>();
  for (const index of targets) {
    const { way } = rings[index]!.making;
    if (CONTROLS[way]) byWay.set(way, [...(byWay.get(way) ?? []), index]);
  }
  if (byWay.size > MOST_AT_ONCE)
    return (
      <p className="py-1 text-sm text-quiet">
        Rings of {byWay.size} ways: select those that you want to set.
      </p>
    );
  return [...byWay].map(([way, indices]) => {
    const Controls: ComponentType<ControlsProps> = CONTROLS[way]!;
    return (
      <fieldset
        key={way}
        aria-label={named(indices.map((index) => calledOf(rings[index]!.making)))}
        className="flex w-full flex-wrap items-end gap-x-3 gap-y-2 border-t border-line pt-2"
      >
        <Controls targets={indices} />
      </fieldset>
    );
  });
}

/** What rings are called: by their name where they have one, or by how many there are. */
const named = (names: readonly string[]): string => shared(names) ?? `${names.length} rings of segments`;

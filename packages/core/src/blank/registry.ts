import { z } from 'zod';
import type { Vessel } from '../form/vessel.js';
import type { OwnedPieces } from '../lumber/owned.js';
import { mm } from '../measure/quantity.js';
import type { Result } from '../measure/reason.js';
import { blankOwner } from '../ring/owner.js';
import { volumeOfSolid } from '../ring/space.js';
import { type BentParams, bentParams, bentPlaces, makeBent } from './bent.js';
import type { MadeBlank } from './contract.js';
import { type GlobeParams, globeParams, globePlaces, makeGlobe } from './globe.js';
import { beginMount } from './mount/begin.js';
import { makeMount } from './mount/mount.js';
import { type MountParams, mountParams } from './mount/params.js';

export type BlankMaking = GlobeParams | BentParams | MountParams;
export type BlankKind = BlankMaking['kind'];

/** The only list of the blanks that are no rings. */
export const BLANKS = {
  globe: {
    name: 'Facetted globe',
    says: '80 flat triangles, or 40 of them for a bowl',
    begin: (): GlobeParams => ({
      kind: 'globe',
      diameterMm: mm(200),
      wallMm: mm(18),
      part: 'whole',
      bevels: 'half-angle',
    }),
  },
  bent: {
    name: 'Bent stack',
    says: 'wedges of rings glued to a curved tube: handles, and links that pass through each other',
    begin: (): BentParams => ({
      kind: 'bent',
      outerRadiusMm: mm(14),
      innerRadiusMm: mm(0),
      segments: 6,
      wedges: 24,
      curveMm: mm(60),
      sweepDeg: 360,
      linkAsideMm: mm(0),
    }),
  },
  mount: {
    name: 'Halves on rods',
    says: 'the finished piece sawn in two, each half on rods over a base',
    begin: beginMount,
  },
} as const;

export const blankSchema: z.ZodType<BlankMaking> = z.discriminatedUnion('kind', [
  globeParams,
  bentParams,
  mountParams,
]) as unknown as z.ZodType<BlankMaking>;

/**
 * Makes a blank that is no ring (sizes in mm), beside a piece of a form: its pieces as solids, its pattern laid flat, what is done; or why it cannot be.
 */
export function makeBlank(making: BlankMaking, vessel: Vessel): Result<MadeBlank> {
  switch (making.kind) {
    case 'globe':
      return makeGlobe(making);
    case 'bent':
      return makeBent(making);
    case 'mount':
      return makeMount(making, vessel);
  }
}

/** Places of a blank, by its parameters alone. */
export function blankPlaces(making: BlankMaking): number {
  switch (making.kind) {
    case 'globe':
      return globePlaces(making);
    case 'bent':
      return bentPlaces(making);
    case 'mount':
      return 1;
  }
}

/** Pieces of a blank, by its id in the document, by kind and wood. */
export function blankPieces(made: MadeBlank, id: string, woodAt: (place: number) => string): OwnedPieces[] {
  return made.kinds.flatMap((kind) => {
    const byWood = new Map<string, number[]>();
    for (const place of kind.places) {
      const wood = woodAt(place);
      const same = byWood.get(wood);
      if (same) same.push(place);
      else byWood.set(wood, [place]);
    }
    return [...byWood].map(([wood, places]) => ({
      owner: blankOwner(id),
      wood,
      kind,
      count: places.length,
      places,
      volumeMm3: places.reduce((sum, place) => sum + volumeOfSolid(made.solids[place]!), 0) / places.length,
    }));
  });
}

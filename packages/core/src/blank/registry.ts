import { z } from 'zod';
import type { OwnedPieces } from '../lumber/owned.js';
import { mm } from '../measure/quantity.js';
import type { Result } from '../measure/reason.js';
import { blankOwner } from '../ring/owner.js';
import { volumeOfSolid } from '../ring/space.js';
import { type BentParams, bentParams, bentPlaces, makeBent } from './bent.js';
import type { MadeBlank } from './contract.js';
import { type GlobeParams, globeParams, globePlaces, makeGlobe } from './globe.js';

export type BlankMaking = GlobeParams | BentParams;
export type BlankKind = BlankMaking['kind'];

/** The only list of the blanks that are no rings. */
export const BLANKS = {
  globe: {
    name: 'Facetted globe',
    says: '80 flat triangles, or 40 of them for a bowl',
    begun: {
      kind: 'globe',
      diameterMm: mm(200),
      wallMm: mm(18),
      part: 'whole',
      bevels: 'half-angle',
    } satisfies GlobeParams,
  },
  bent: {
    name: 'Bent stack',
    says: 'wedges of rings glued to a curved tube: handles, and links that pass through each other',
    begun: {
      kind: 'bent',
      outerRadiusMm: mm(14),
      innerRadiusMm: mm(0),
      segments: 6,
      wedges: 24,
      curveMm: mm(60),
      sweepDeg: 360,
      linkAsideMm: mm(0),
    } satisfies BentParams,
  },
} as const;

export const blankSchema: z.ZodType<BlankMaking> = z.discriminatedUnion('kind', [
  globeParams,
  bentParams,
]) as unknown as z.ZodType<BlankMaking>;

/** Makes a blank that is no ring (sizes in mm): its pieces as solids, its pattern laid flat, what is done; or why it cannot be. */
export const makeBlank = (making: BlankMaking): Result<MadeBlank> =>
  making.kind === 'globe' ? makeGlobe(making) : makeBent(making);

/** Places of a blank, by its parameters alone. */
export const blankPlaces = (making: BlankMaking): number =>
  making.kind === 'globe' ? globePlaces(making) : bentPlaces(making);

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

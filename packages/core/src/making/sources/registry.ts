import { z } from 'zod';
import { type Illusion, illusion, illusionSchema } from '../illusion/illusion.js';
import { inlaid } from '../inlaid/inlaid.js';
import { type Plugs, plugsSchema } from '../inlaid/params.js';
import { laminated } from '../laminated/laminated.js';
import { type Laminated, laminatedSchema } from '../laminated/params.js';
import { layered } from '../layered/layered.js';
import { type Layers, layersSchema } from '../layered/params.js';
import { lettered } from '../lettered/lettered.js';
import { type Letters, lettersSchema } from '../lettered/params.js';
import type { Source } from './contract.js';
import { oneWood } from './oneWood.js';

/** What segments are sawn from, where it is more than one wood. */
export type SawnFrom = Layers | Laminated | Plugs | Letters | Illusion;
type OneWood = { readonly is: 'one-wood' };

/** The only list of what segments are sawn from. */
const SOURCES = {
  layers: layered,
  laminated,
  plugs: inlaid,
  letters: lettered,
  illusion,
  'one-wood': oneWood,
} satisfies { [I in (SawnFrom | OneWood)['is']]: Source<Extract<SawnFrom | OneWood, { is: I }>> };

export const sawnFromSchema: z.ZodType<SawnFrom> = z.discriminatedUnion(
  'is',
  [layersSchema, laminatedSchema, plugsSchema, lettersSchema, illusionSchema],
  {
    error: () =>
      `What segments are sawn from is not known; it has to be one of ${Object.keys(SOURCES).slice(0, -1).join(', ')}, or left out for one wood.`,
  },
);

const ONE_WOOD: OneWood = { is: 'one-wood' };

/** The definition behind what segments are sawn from, with its parameters; one wood where nothing is said. */
export function sourceOf(sawnFrom: SawnFrom | undefined): {
  readonly source: Source<SawnFrom>;
  readonly of: SawnFrom;
} {
  const of = (sawnFrom ?? ONE_WOOD) as SawnFrom;
  return { source: SOURCES[of.is] as unknown as Source<SawnFrom>, of };
}

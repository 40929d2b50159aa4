import { z } from 'zod';
import { length } from '../../measure/field.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';

/** More layers than this nobody glues up. */
export const MOST_LAYERS = 12;

/** Thickness of every layer before turning but of the last, which has what is left. */
const layersMm = z
  .array(length('Layer', 0.3, 200))
  .min(1, {
    error: () => 'The board has no layer; it has to have one at least, and what is left is the last.',
  })
  .max(MOST_LAYERS - 1, { error: () => `The board has too many layers; ${MOST_LAYERS} are allowed.` });

/** How layers lie in a segment, and which segments stand upside down where they lie one above the other. */
export const layersSchema = z.discriminatedUnion('laid', [
  z.strictObject({ is: z.literal('layers'), laid: z.literal('outside-in'), layersMm }),
  z.strictObject({
    is: z.literal('layers'),
    laid: z.literal('bottom-up'),
    layersMm,
    /** `first`: the first, third, fifth … segment from the index mark; `second`: those between. */
    turned: z.enum(['none', 'first', 'second']),
  }),
]);

export type Layers = z.infer<typeof layersSchema>;

/** What the layers are called, from the first. */
export function layerNames({ laid, layersMm }: Pick<Layers, 'laid' | 'layersMm'>): string[] {
  const [first, last] =
    laid === 'outside-in' ? ['Outer layer', 'Inner layer'] : ['Bottom layer', 'Top layer'];
  return [first, ...layersMm.slice(1).map((_, i) => `Layer ${i + 2}`), last];
}

/** Where layers begin and end, from 0 to `whole` (mm): one more number than layers. Layers thicker than the whole run beyond it. */
export const bordersOf = (layersMm: readonly number[], whole: number): number[] => {
  let sum = 0;
  return [0, ...layersMm.map((layer) => (sum += layer)), whole];
};

/** Why layers one above the other leave nothing for the topmost in what is so high (mm). */
export const nothingOnTop = (field: string, takenMm: number, called: 'ring' | 'disc', highMm: number) =>
  refuse(
    'layer-too-thick',
    field,
    say`The layers under the topmost are ${sayMm(takenMm)} thick and the ${called} ${sayMm(highMm)} high; nothing is left for the top layer.`,
    { most: highMm },
  );

/** The same layers so much thinner that the last has as much as they have on the average, of a whole (mm). */
export function thinnedTo(layersMm: readonly number[], whole: number): Mm[] {
  const taken = layersMm.reduce((sum, layer) => sum + layer, 0);
  const share = (whole * layersMm.length) / (layersMm.length + 1) / taken;
  return layersMm.map((layer) => mm(layer * share));
}

/** Whether a segment stands upside down. */
export const isTurned = (board: Layers, segment: number): boolean =>
  board.laid === 'bottom-up' && board.turned !== 'none' && segment % 2 === (board.turned === 'first' ? 0 : 1);

import { z } from 'zod';
import { number, whole } from '../../measure/field.js';
import { rad } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { area, type Point } from '../../ring/plane.js';
import { SEGMENT_CAUTIONS } from '../segments.js';
import { step } from '../step.js';
import { cabinHolding, heart, log } from './cabin.js';
import type { DiscSize, DiscSource, Floor } from './contract.js';
import { asDisc, block, MEDALLION, range } from './floor.js';

const params = z.strictObject({
  is: z.literal('cabin'),
  rounds: whole('Rounds of logs', 1, 12),
  /** Width of the heart over that of the whole square. */
  heart: number('Heart', 0.05, 0.9),
  /** The way round that logs are laid, seen from above. */
  laid: z.enum(['left', 'right'], { error: () => 'Logs are laid to the left or to the right.' }),
});

export type Cabin = z.infer<typeof params>;

/** A log-cabin square, glued up flat. */
export const cabin: DiscSource<Cabin> = {
  is: 'cabin',
  params,
  begun: { is: 'cabin', rounds: 5, heart: 0.15, laid: 'left' },
  called: MEDALLION,
  strict: true,
  whole: null,
  groups: ({ rounds }) => [
    { name: 'Heart', count: 1 },
    { name: 'Log', count: 4 * rounds },
  ],
  pitch: () => rad(Math.PI / 2),
  tones: ({ rounds }) =>
    Array.from({ length: 1 + 4 * rounds }, (_, i) =>
      i === 0 ? 'middle' : (i - 1) % 4 < 2 ? 'light' : 'dark',
    ),
  mirror: (of) => ({ ...of, laid: of.laid === 'left' ? 'right' : 'left' }),
  lay(of, size) {
    const floor = layCabin(of, size);
    return floor.ok ? done(asDisc(floor.value)) : floor;
  },
};

function layCabin(floor: Cabin, { outerRadiusMm, heightMm }: DiscSize): Result<Floor> {
  const cabin = cabinHolding(floor.rounds, floor.heart, outerRadiusMm);
  if (cabin.logMm < 1 - SAME_LENGTH)
    return refuse(
      'logs-too-thin',
      'sawnFrom.rounds',
      say`${floor.rounds} rounds in a floor of ${sayMm(2 * outerRadiusMm)} leave logs of ${sayMm(cabin.logMm)}; they have to be at least ${sayMm(1)}.`,
      { most: Math.floor(outerRadiusMm * (1 - floor.heart)) },
    );
  const count = 4 * floor.rounds;
  const logs = range(count).map((i) => (floor.laid === 'left' ? log(cabin, i) : mirrored(log(cabin, i))));
  const lengthOf = (i: number) => area(logs[i]!) / cabin.logMm;
  return done({
    outlines: [heart(cabin), ...logs],
    kinds: [
      block('Heart', cabin.heartMm, cabin.heartMm, heightMm, [0]),
      ...range(count).map((i) => ({
        ...block(`Log ${i + 1}`, lengthOf(i), cabin.logMm, heightMm, [1 + i]),
        grain: 'across' as const,
      })),
    ],
    stepOf: ['heart', ...logs.map(() => 'logs')],
    repeats: 1,
    steps: () => [
      step(
        'heart',
        'saw',
        say`Saw a heart ${sayMm(cabin.heartMm, 'width')} square and strips ${sayMm(cabin.logMm, 'width')} wide.`,
        SEGMENT_CAUTIONS,
      ),
      step(
        'logs',
        'clamps',
        'Glue the first strip to one side and trim it flush; turn the block a quarter and glue on the next, over the end of the first; light on two sides, dark on the other two.',
      ),
      step(
        'square',
        'bench',
        say`After ${floor.rounds} rounds it is ${sayMm(2 * outerRadiusMm)} square and holds the disc.`,
      ),
    ],
    figures: [
      { key: 'heart', value: cabin.heartMm, unit: 'mm' },
      { key: 'logs-width', value: cabin.logMm, unit: 'mm' },
    ],
  });
}

const mirrored = (outline: readonly Point[]): Point[] =>
  outline.map(({ x, y }) => ({ x, y: 0 - y })).reverse();

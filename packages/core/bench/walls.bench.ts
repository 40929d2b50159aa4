import { test } from 'vitest';
import { begun, type ParamsOf, type RingMaking, WAYS } from '../src/making/registry.js';
import { mm } from '../src/measure/quantity.js';
import { sampledCuts, sampledRings } from '../src/project/standing.js';
import { sampleWall } from '../src/surface/sample.js';
import { cutRows } from '../src/surface/toward.js';
import { middleOf, stacked, vaseOf } from './vase.js';

/** A shouldered vase of 40 rings of 48 segments, all made one way. */
function vase(making: RingMaking) {
  const { rings, ...rest } = vaseOf(40, 48);
  return stacked({ ...rest, rings: rings.map((ring) => ({ ...ring, making })) });
}

/** As the bench draws while a form is dragged. */
const COARSE = { columns: 512, rows: 192 };

/** Works out what all drawings of the bench show of a piece: both walls as they are sampled, and the cut through it. */
function drawn(making: RingMaking): number {
  const piece = vase(making);
  let shown = 0;
  for (const side of ['outside', 'inside'] as const)
    shown += sampleWall(piece.vessel, sampledRings(piece), side, COARSE, sampledCuts(piece)).rows;
  for (const { made, turn } of piece.rings) if (made.ok) shown += cutRows(made.value, turn, 0.3).length;
  return piece.rings.some(({ made }) => made.ok) ? shown : 0;
}

test('from a changed form to what the bench draws while it is dragged, 40 × 48', () => {
  for (let i = 0; i < 10; i++) drawn({ way: 'flat', count: 48 });
  const times = WAYS.flatMap((way) => {
    const begin = begun(way, { segments: 48, body: 'thick' });
    if (!begin) return [];
    const making: RingMaking =
      begin.way === 'spaced'
        ? { ...begin, spacers: { at: 'even', number: 12, thicknessMm: mm(2) } }
        : begin.way === 'tilted'
          ? { ...begin, tiltDeg: 12 }
          : begin.way === 'inlaid'
            ? { ...begin, plugs: begin.plugs.map((plug) => ({ ...plug, acrossMm: mm(4) })) }
            : begin;
    // Boards, twisted slices and such do not go with rings so thin and many.
    if (drawn(making) === 0) return [];
    return [{ way, ms: middleOf(() => drawn(making), 11) }];
  });
  const flat = times.find(({ way }) => way === 'flat')!.ms;
  console.log(
    [
      'a changed form to its drawings, 40 rings × 48, middle of 11 runs',
      ...times.map(
        ({ way, ms }) => `  ${way.padEnd(9)} ${ms.toFixed(1)} ms, ${(ms / flat).toFixed(1)} times flat`,
      ),
    ].join('\n'),
  );
});

const SPACERS = { at: 'even', number: 12, thicknessMm: mm(2) } as const;
const LEANING = { way: 'tilted', count: 48, tiltDeg: 12, hand: 'right', cut: 'same-edge' } as const;
const LAYERS: ParamsOf<'layered'> = {
  way: 'layered',
  count: 48,
  board: { laid: 'outside-in', layersMm: [mm(5)] },
};
const FLAT = { way: 'flat', count: 48 } as const;
const SPACED = { way: 'spaced', count: 48, spacers: SPACERS } as const;

/** Combinations, and the parts that they are put together from. */
const COMBINED: readonly (readonly [string, RingMaking, readonly RingMaking[]])[] = [
  ['leaning, spacers', { ...LEANING, between: { put: 'spacers', spacers: SPACERS } }, [LEANING, SPACED]],
  [
    'leaning, gaps',
    { ...LEANING, between: { put: 'gaps', gap: { sides: 'tapered', share: 0.25 } } },
    [LEANING, { way: 'open', count: 48, gap: { sides: 'tapered', share: 0.25 } }],
  ],
  ['layers, spacers', { ...LAYERS, spacers: SPACERS }, [LAYERS, SPACED]],
  [
    'layers upside down',
    { ...LAYERS, board: { laid: 'bottom-up', layersMm: [mm(4)], turned: 'second' } },
    [LAYERS, FLAT],
  ],
  [
    'spacers of layers',
    { ...SPACED, spacers: { ...SPACERS, layers: { layersMm: [mm(0.5)], turned: 'second' } } },
    [SPACED, FLAT],
  ],
];

test('combinations beside the parts that they are put together from, 40 × 48', () => {
  const time = (making: RingMaking) => {
    if (drawn(making) === 0) throw new Error(`${making.way} cannot be made`);
    return middleOf(() => drawn(making), 11);
  };
  const rows = COMBINED.map(([name, making, parts]) => {
    const together = parts.reduce((sum, part) => sum + time(part), 0);
    const own = time(making);
    return `  ${name.padEnd(20)} ${own.toFixed(1)} ms, ${(own / together).toFixed(2)} times its parts together`;
  });
  console.log(['combinations, a changed form to its drawings, middle of 11 runs', ...rows].join('\n'));
});

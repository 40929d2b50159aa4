import { test } from 'vitest';
import { begun, type ParamsOf, type RingMaking, START_IDS, startOf } from '../src/making/registry.js';
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

/** With spacers, tilt and plugs that go with segments so small. */
function finer(making: RingMaking): RingMaking {
  if (making.way !== 'segmented') return making;
  const { between, lean, sawnFrom } = making;
  return {
    ...making,
    ...(between?.put === 'spacers' && { between: { put: 'spacers', spacers: SPACERS } }),
    ...(lean && { lean: { ...lean, tiltDeg: 12 } }),
    ...(sawnFrom?.is === 'plugs' && {
      sawnFrom: { ...sawnFrom, plugs: sawnFrom.plugs.map((plug) => ({ ...plug, acrossMm: mm(4) })) },
    }),
  };
}

test('from a changed form to what the bench draws while it is dragged, 40 × 48', () => {
  for (let i = 0; i < 10; i++) drawn({ way: 'segmented', count: 48 });
  const times = START_IDS.flatMap((start) => {
    const begin = begun(start, { segments: 48, body: 'thick' });
    if (!begin) return [];
    const making = finer(begin);
    // Boards, twisted slices and such do not go with rings so thin and many.
    if (drawn(making) === 0) return [];
    return [{ start, ms: middleOf(() => drawn(making), 11) }];
  });
  const flat = times.find(({ start }) => start === 'flat')!.ms;
  console.log(
    [
      'a changed form to its drawings, 40 rings × 48, middle of 11 runs',
      ...times.map(
        ({ start, ms }) => `  ${start.padEnd(9)} ${ms.toFixed(1)} ms, ${(ms / flat).toFixed(1)} times flat`,
      ),
    ].join('\n'),
  );
});

const SPACERS = { at: 'even', number: 12, thicknessMm: mm(2) } as const;
const LEANING = {
  way: 'segmented',
  count: 48,
  lean: { tiltDeg: 12, hand: 'right', cut: 'same-edge' },
} as const;
const LAYERS: ParamsOf<'segmented'> = {
  way: 'segmented',
  count: 48,
  sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(5)] },
};
const FLAT = { way: 'segmented', count: 48 } as const;
const SPACED = { way: 'segmented', count: 48, between: { put: 'spacers', spacers: SPACERS } } as const;

const DOTS: ParamsOf<'segmented'> = {
  way: 'segmented',
  count: 48,
  sawnFrom: {
    is: 'plugs',
    plugs: [{ shape: 'round', acrossMm: mm(3), asideMm: mm(0), upMm: mm(0), depthMm: mm(4) }],
    edge: { topMm: mm(0), bottomMm: mm(0), sidesMm: mm(0) },
  },
};

/** Combinations, and the parts that they are put together from. */
const COMBINED: readonly (readonly [string, RingMaking, readonly RingMaking[]])[] = [
  ['leaning, spacers', { ...LEANING, between: { put: 'spacers', spacers: SPACERS } }, [LEANING, SPACED]],
  [
    'leaning, gaps',
    { ...LEANING, between: { put: 'gaps', gap: { sides: 'tapered', share: 0.25 } } },
    [
      LEANING,
      { way: 'segmented', count: 48, between: { put: 'gaps', gap: { sides: 'tapered', share: 0.25 } } },
    ],
  ],
  ['layers, spacers', { ...LAYERS, between: SPACED.between }, [LAYERS, SPACED]],
  ['layers, leaning', { ...LAYERS, lean: LEANING.lean }, [LAYERS, LEANING]],
  [
    'layers, leaning, spacers',
    { ...LAYERS, lean: LEANING.lean, between: SPACED.between },
    [LAYERS, LEANING, SPACED],
  ],
  ['dots, leaning', { ...DOTS, lean: LEANING.lean }, [DOTS, LEANING]],
  ['dots, spacers', { ...DOTS, between: SPACED.between }, [DOTS, SPACED]],
  [
    'layers upside down',
    { ...FLAT, sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(4)], turned: 'second' } },
    [LAYERS, FLAT],
  ],
  [
    'spacers of layers',
    {
      ...FLAT,
      between: {
        put: 'spacers',
        spacers: { ...SPACERS, layers: { layersMm: [mm(0.5)], turned: 'second' } },
      },
    },
    [SPACED, FLAT],
  ],
];

test('combinations beside the parts that they are put together from, 40 × 48', () => {
  const time = (making: RingMaking) => {
    if (drawn(making) === 0) throw new Error(`${startOf(making)} cannot be made`);
    return middleOf(() => drawn(making), 11);
  };
  const rows = COMBINED.map(([name, making, parts]) => {
    const together = parts.reduce((sum, part) => sum + time(part), 0);
    const own = time(making);
    return `  ${name.padEnd(20)} ${own.toFixed(1)} ms, ${(own / together).toFixed(2)} times its parts together`;
  });
  console.log(['combinations, a changed form to its drawings, middle of 11 runs', ...rows].join('\n'));
});

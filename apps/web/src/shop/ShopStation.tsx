import { done, type Mm, type Result, reasonsOf, refused, type Shop, shopSchema } from '@fellside/core';
import { useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { shopOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { BuyingFields } from './BuyingFields.js';
import { WorkshopFields } from './WorkshopFields.js';

type LengthKey = { [K in keyof Shop]: Shop[K] extends Mm ? K : never }[keyof Shop];
type CountKey = 'testPieces' | 'sparePercent' | 'wastePercent';

const GROUPS: readonly {
  title: string;
  lengths: readonly (readonly [LengthKey, string])[];
  counts: readonly (readonly [CountKey, string, string])[];
}[] = [
  {
    title: 'Saw',
    lengths: [
      ['kerfMm', 'Kerf of the mitre cut'],
      ['ripKerfMm', 'Kerf when ripping'],
      ['shortestEdgeMm', 'Shortest segment you can hold'],
    ],
    counts: [],
  },
  {
    title: 'Strips',
    lengths: [
      ['endTrimMm', 'Trimmed off both ends of a board'],
      ['holdBackMm', 'Tail held back, never cut'],
      ['faceSandingMm', 'Sanded off each face'],
    ],
    counts: [],
  },
  {
    title: 'In hand',
    lengths: [],
    counts: [
      ['testPieces', 'Test pieces for an angle and tilt', ''],
      ['sparePercent', 'Spares of each ring and wood', ' %'],
      ['wastePercent', 'On top, bought by board feet alone', ' %'],
    ],
  },
  {
    title: 'Glue and wall',
    lengths: [
      ['leastOverlapMm', 'Least width of a glue joint'],
      ['leastWallMm', 'Thinnest wall you turn'],
    ],
    counts: [],
  },
  {
    title: 'Lathe',
    lengths: [
      ['swingRadiusMm', 'Lathe swing, radius'],
      ['bedDistanceMm', 'Axis to bed or tool-rest base'],
      ['jawLeastMm', 'Jaws, smallest diameter'],
      ['jawMostMm', 'Jaws, largest diameter'],
      ['reachMm', 'Reach of the hollowing tools'],
    ],
    counts: [],
  },
];

/** The shop's own figures; every piece is computed with them. */
export function ShopStation() {
  const shop = useApp(shopOf);
  const [setShop] = api.useSetShopMutation();
  const [trouble, setTrouble] = useState<string[]>([]);
  const change = (part: Partial<Shop>): Result<unknown> => {
    const parsed = shopSchema.safeParse({ ...shop, ...part });
    if (!parsed.success) return refused(...reasonsOf(parsed.error));
    setShop(parsed.data)
      .unwrap()
      .then(() => setTrouble([]))
      .catch((error) => setTrouble(sentencesOf(error)));
    return done(null);
  };
  return (
    <div className="overflow-auto p-6">
      <h1 className="text-xl font-semibold">Shop</h1>
      <p className="mt-1 mb-5 max-w-prose text-quiet">
        Your saw and your habits. Strips, spares and board feet of every piece, its order of work and its day
        plan follow these figures.
      </p>
      {trouble.length > 0 && (
        <p role="alert" className="mb-4 text-rust">
          {trouble.join(' ')}
        </p>
      )}
      <div className="grid max-w-4xl grid-cols-2 gap-x-10 gap-y-6">
        {GROUPS.map(({ title, lengths, counts }) => (
          <section key={title}>
            <h2 className="mb-2 border-b border-line pb-1 font-semibold">{title}</h2>
            <div className="grid grid-cols-2 items-end gap-3">
              {lengths.map(([key, label]) => (
                <LengthField
                  key={key}
                  label={label}
                  value={shop[key]}
                  onChange={(value) => change({ [key]: value })}
                />
              ))}
              {counts.map(([key, label, unit]) => (
                <NumberField
                  key={key}
                  label={label}
                  unit={unit}
                  value={shop[key]}
                  onChange={(value) => change({ [key]: value })}
                />
              ))}
            </div>
          </section>
        ))}
        <BuyingFields shop={shop} change={change} />
        <WorkshopFields shop={shop} change={change} />
      </div>
    </div>
  );
}

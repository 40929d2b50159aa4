import {
  cutWrong,
  degrees,
  diagnosed,
  done,
  type MeantRing,
  type Mm,
  mm,
  rad,
  type Seen,
  sentenceIn,
  type WrongRing,
  waysOut,
  wrongSaid,
} from '@fellside/core';
import { useState } from 'react';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Choice } from '../ui/Choice.js';
import { LengthField } from '../ui/LengthField.js';
import { DryRing } from './DryRing.js';
import { RememberFit } from './RememberFit.js';

const SEEN = [
  ['last', 'one joint open, all others tight'],
  ['outside', 'every joint open at the outside'],
  ['inside', 'every joint open at the inside'],
  ['halves-outside', 'two tight halves open at the outside'],
  ['halves-inside', 'two tight halves open at the inside'],
] as const;
type Kind = (typeof SEEN)[number][0];

/** Where joints stand open. */
const openAt = (kind: Kind): 'outside' | 'inside' => (kind.endsWith('outside') ? 'outside' : 'inside');

/** What is seen when the ring is laid dry, what it says of the saw, and the ways out with their price. */
export function DryFit({ ring }: { ring: MeantRing }) {
  const units = useApp(unitsOf);
  const [kind, setKind] = useState<Kind>('last');
  const [gaps, setGaps] = useState<{ readonly outside: Mm; readonly inside: Mm }>({
    outside: mm(0),
    inside: mm(0),
  });
  const seen: Seen =
    kind === 'last'
      ? { joints: 'last', outsideMm: gaps.outside, insideMm: gaps.inside }
      : {
          joints: kind.startsWith('halves') ? 'halves' : 'all',
          at: openAt(kind),
          gapeMm: gaps[openAt(kind)],
        };
  const found = diagnosed(ring, seen);
  const wrong = found.ok ? found.value : cutWrong(ring, rad(0));
  const field = (at: 'outside' | 'inside') => (
    <LengthField
      key={at}
      label={`Gap at the ${at}`}
      value={gaps[at]}
      className="w-32"
      gap
      onChange={(gap) => {
        setGaps({ ...gaps, [at]: gap });
        return done(gap);
      }}
    />
  );
  return (
    <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_minmax(0,18rem)]">
      <div>
        <div className="flex flex-wrap items-end gap-3">
          <Choice
            label="What is seen"
            value={kind}
            options={ring.count % 2 === 0 ? SEEN : SEEN.slice(0, 3)}
            onChange={setKind}
            className="w-64"
          />
          {(kind === 'last' ? (['outside', 'inside'] as const) : [openAt(kind)]).map(field)}
        </div>
        <p className="mt-1 text-sm text-quiet">
          Lay the ring together without glue on something flat, joints tight, and measure with a feeler gauge
          or with paper: a sheet is about 0.004 in or 0.1 mm.
        </p>
        <p role={found.ok ? 'status' : 'alert'} className={`mt-3 text-lg ${found.ok ? '' : 'text-rust'}`}>
          {found.ok
            ? sentenceIn(wrongSaid(found.value), units)
            : sentenceIn(found.reasons[0]!.message, units)}
        </p>
        {found.ok && (
          <>
            <RememberFit count={ring.count} errorDeg={degrees(found.value.error)} />
            <Ways wrong={found.value} />
          </>
        )}
      </div>
      <DryRing wrong={wrong} />
    </div>
  );
}

function Ways({ wrong }: { wrong: WrongRing }) {
  const units = useApp(unitsOf);
  return (
    <ol aria-label="Ways out" className="mt-2">
      {waysOut(wrong).map(({ id, name, does, price }) => (
        <li key={id} className="border-t border-line py-2">
          <h3 className="font-semibold">{name}</h3>
          <p>{sentenceIn(does, units)}</p>
          <p className="text-quiet">{sentenceIn(price, units)}</p>
        </li>
      ))}
    </ol>
  );
}

import {
  done,
  errorFromSum,
  type Mm,
  meantRing,
  mm,
  outSaid,
  type Setting,
  sentenceIn,
  TRUE_EDGES,
  testSums,
} from '@fellside/core';
import { useState } from 'react';
import { unitsOf } from '../../store/house.js';
import { planOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';

const AT = [
  ['outside', 'the outside'],
  ['inside', 'the inside'],
] as const;

/** Test pieces put together against something true: their errors add up, so that a little shows; what the gap says of the setting. */
export function TestSums({ setting }: { setting: Setting }) {
  const units = useApp(unitsOf);
  const plan = useApp(planOf);
  const sums = testSums(setting.cutAngle);
  const [against, setAgainst] = useState(sums[0]?.against ?? null);
  const [at, setAt] = useState<'outside' | 'inside'>('outside');
  const [gapMm, setGap] = useState<Mm>(mm(0));
  const own = new Set<string>(setting.cuts.flatMap(({ job }) => job.owners.map(({ id }) => id)));
  const ring = plan.ok ? plan.value.rings.find(({ id }) => own.has(id)) : undefined;
  const meant = ring && meantRing(ring);
  const usual = mm(meant?.ok ? meant.value.widthMm / Math.cos(setting.cutAngle) : 25);
  const [faceMm, setFace] = useState<Mm>(usual);
  const sum = sums.find((each) => each.against === against);
  if (!sum)
    return (
      <p className="mt-4">
        No whole number of these pieces fills a turn or a part of it: lay the whole ring dry before it is
        glued.
      </p>
    );
  const found = errorFromSum(sum, { at, gapMm }, faceMm);
  return (
    <section aria-label="Test pieces" className="mt-4">
      <h3 className="font-semibold">Test pieces before the rest is cut</h3>
      <p className="max-w-prose">
        {sum.against === 'turned'
          ? 'Saw through a wide piece of scrap and lay the two halves on the table, one turned over, cut to cut, their edges on a straight edge: the gap is of twice the error. '
          : `Cut ${sum.pieces} from scrap as the others are cut, the first short and slowly, and put them together, joints tight, against ${TRUE_EDGES[sum.against]}: all ${sum.cuts} cuts add up in the gap. `}
        Hold it to the light, or measure it with a feeler gauge or paper.
      </p>
      <div className="my-2 flex flex-wrap items-end gap-3">
        <Choice
          label="Put together against"
          value={sum.against}
          options={sums.map(
            (each) => [each.against, `${TRUE_EDGES[each.against]} (${each.pieces} pieces)`] as const,
          )}
          onChange={setAgainst}
          className="w-64"
        />
        <Choice label="It gapes at" value={at} options={AT} onChange={setAt} className="w-36" />
        <LengthField
          label="Gap"
          value={gapMm}
          gap
          className="w-28"
          onChange={(gap) => {
            setGap(gap);
            return done(gap);
          }}
        />
        <LengthField
          label="Length of the face"
          value={faceMm}
          className="w-28"
          onChange={(face) => {
            setFace(face);
            return done(face);
          }}
        />
      </div>
      <p role={found.ok ? 'status' : 'alert'} className={`text-lg ${found.ok ? '' : 'text-rust'}`}>
        {found.ok
          ? sentenceIn(outSaid(found.value, setting.cutAngle), units)
          : sentenceIn(found.reasons[0]!.message, units)}
      </p>
    </section>
  );
}

import {
  boardFeet,
  formatLength,
  imperialPints,
  insideAt,
  landmarksOf,
  litres,
  mm,
  POUND,
  usPints,
} from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { planOf, preparedOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Group } from '../ui/Group.js';

/** What follows from the form: how much it holds and weighs, the wood left in it, and how foot and neck stand to it, with their bores. */
export function Readings() {
  const plan = useApp(planOf);
  const prepared = useApp(preparedOf);
  const units = useApp(unitsOf);
  if (!plan.ok || !prepared.ok) return null;
  const { capacityMm3, massKg, woodMm3 } = plan.value;
  const pints = `${usPints(capacityMm3).toFixed(1)} US pt, ${imperialPints(capacityMm3).toFixed(1)} imp pt`;
  const { vessel } = prepared.value;
  const marks = landmarksOf(vessel.outside);
  const widest = marks.find(({ name }) => name === 'widest')!.radiusMm;
  /** How wide it is inside there; nothing where it is solid. */
  const boreAt = (heightMm: number): string => {
    const bore = insideAt(vessel, heightMm) ?? 0;
    return bore > 0 ? `, bore ${formatLength(mm(2 * bore), units)}` : '';
  };
  const rows: (readonly [label: string, value: string, rest: string])[] = [
    vessel.joined
      ? ['Holds', 'nothing', 'closed at both ends']
      : ['Holds', `${litres(capacityMm3).toFixed(2)} l`, pints],
    ['Weighs', `${massKg.toFixed(2)} kg`, units === 'mm' ? '' : `${(massKg / POUND).toFixed(2)} lb`],
    [
      'Wood left',
      units === 'mm' ? `${litres(woodMm3).toFixed(2)} dm³` : `${boardFeet(woodMm3).toFixed(2)} bd ft`,
      '',
    ],
    ...marks.map(({ name, radiusMm, heightMm }) =>
      name === 'widest'
        ? ([name, formatLength(mm(2 * radiusMm), units), boreAt(heightMm).slice(2)] as const)
        : ([name, `${Math.round((100 * radiusMm) / widest)} %`, `of widest${boreAt(heightMm)}`] as const),
    ),
  ];
  return (
    <Group title="What it comes to">
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
        {rows.map(([label, value, rest]) => (
          <div key={label} className="contents">
            <dt className="text-quiet first-letter:uppercase">{label}</dt>
            <dd>
              <b>{value}</b> <span className="text-xs text-quiet">{rest}</span>
            </dd>
          </div>
        ))}
      </dl>
    </Group>
  );
}

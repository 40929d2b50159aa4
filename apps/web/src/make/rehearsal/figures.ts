import { formatLength, gapUnits, type Mm, mm, type Outcomes, type UnitSystem } from '@fellside/core';

/** A small length, as a feeler gauge has it: thousandths of an inch, or hundredths of a millimetre. */
export const small = (value: number, units: UnitSystem): string =>
  Number.isFinite(value) ? formatLength(mm(value) as Mm, gapUnits(units)) : '–';

/** A share of builds as people say it: whole per cent, and what is nearly none or nearly all is not called so. */
export function percent(share: number): string {
  if (share > 0 && share < 0.005) return 'under 1 %';
  if (share < 1 && share > 0.995) return 'over 99 %';
  return `${Math.round(100 * share)} %`;
}

/** A row of what comes out: a middling build, a poor one, and how often it is to be seen. */
export interface OutcomeRow {
  readonly id: string;
  readonly name: string;
  readonly middling: number;
  readonly poor: number;
  /** A share: of all builds, or of what `when` says; null where there is none. */
  readonly seen: number | null;
  /** What it is the share of, or counts as seen. */
  readonly when: string;
}

/** What is told of many builds, in the order in which it is met at the bench. */
export function outcomeRows(outcomes: Outcomes): OutcomeRow[] {
  const { gapMm, lastMm, stepMm, wanderMm, wanderShare, heightOffMm, leftMm } = outcomes;
  const lines = outcomes.rings.some((ring) => ring.stepMm !== null);
  return [
    {
      id: 'gap',
      name: 'Widest joint, clamped',
      middling: gapMm.middling,
      poor: gapMm.most,
      seen: outcomes.gapSeen,
      when: 'seen open',
    },
    {
      id: 'last',
      name: 'Last joint, others tight',
      middling: lastMm.middling,
      poor: lastMm.most,
      seen: null,
      when: '',
    },
    ...(lines
      ? [
          {
            id: 'step',
            name: 'Worst step of a line',
            middling: stepMm.middling,
            poor: stepMm.most,
            seen: outcomes.stepSeen,
            when: 'seen to step',
          },
          {
            id: 'wander',
            name: 'A line over all its rings',
            middling: wanderMm.middling,
            poor: wanderMm.most,
            seen: wanderShare.middling,
            when: 'of its width, middling',
          },
        ]
      : []),
    {
      id: 'left',
      name: 'Least left to turn',
      middling: leftMm.middling,
      poor: leftMm.least,
      seen: outcomes.misses,
      when: 'wall not in the wood',
    },
    {
      id: 'height',
      name: 'Too high or low',
      middling: heightOffMm.middling,
      poor: heightOffMm.most,
      seen: null,
      when: '',
    },
    ...(outcomes.broken > 0
      ? [
          {
            id: 'broken',
            name: 'Layer or floor broken through',
            middling: Number.NaN,
            poor: Number.NaN,
            seen: outcomes.broken,
            when: 'of builds',
          },
        ]
      : []),
  ];
}

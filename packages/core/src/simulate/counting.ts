import { type Outcome, SEEN_GAP } from './seen.js';
import type { ToBuild } from './subject.js';
import { type Spread, spreadOf, Tally } from './tally.js';

/** What happens to one ring over many builds. */
export interface RingOutcomes {
  readonly gapMm: Spread;
  readonly gapSeen: number;
  readonly outOfRoundMm: Spread;
  /** What is left to turn off, the lesser of outside and inside. */
  readonly leftMm: Spread;
  /** Share of builds in which the wall does not lie in the wood here. */
  readonly misses: number;
  /** The worst step of any line between this ring and the next; null where no line runs on. */
  readonly stepMm: Spread | null;
  readonly stepSeen: number;
}

/** What comes out of many builds. */
export interface Outcomes {
  readonly builds: number;
  readonly gapMm: Spread;
  readonly lastMm: Spread;
  readonly stepMm: Spread;
  readonly wanderMm: Spread;
  /** The same as a share of the stripe's width. */
  readonly wanderShare: Spread;
  /** Too high more than 0, too low less; and either way. */
  readonly heightErrorMm: Spread;
  readonly heightOffMm: Spread;
  readonly leftMm: Spread;
  /** Shares of builds: a joint is seen open, a line is seen to step, the wall leaves the wood, a layer or floor line is broken through. */
  readonly gapSeen: number;
  readonly stepSeen: number;
  readonly misses: number;
  readonly broken: number;
  /** Nothing of all this. */
  readonly clean: number;
  readonly shows: Spread;
  readonly rings: readonly RingOutcomes[];
  /** Builds by how much they show, from the best: seeds to look at one again. */
  readonly order: readonly { readonly seed: number; readonly shows: number }[];
}

/** So many builds are kept by their seeds; all are counted. */
const MOST_KEPT = 1000;

const FIGURES = ['gap', 'last', 'step', 'wander', 'share', 'height', 'off', 'left', 'shows'] as const;

interface RingTally {
  readonly gap: Tally;
  readonly round: Tally;
  readonly left: Tally;
  readonly step: Tally;
  stepSeen: number;
}

/** Counts builds one by one. */
export class Count {
  private readonly all = Object.fromEntries(FIGURES.map((figure) => [figure, new Tally()])) as Record<
    (typeof FIGURES)[number],
    Tally
  >;
  private readonly rings: RingTally[];
  private readonly kept: { seed: number; shows: number }[] = [];
  private builds = 0;
  private readonly shares = { gapSeen: 0, stepSeen: 0, misses: 0, broken: 0, clean: 0 };

  constructor(piece: ToBuild) {
    this.rings = piece.rings.map(() => ({
      gap: new Tally(),
      round: new Tally(),
      left: new Tally(),
      step: new Tally(),
      stepSeen: 0,
    }));
  }

  add(outcome: Outcome): void {
    const { build: built, steps, wander, gapMm, lastMm, leftMm, layerLeftMm, shows, seed } = outcome;
    this.builds++;
    this.all.gap.add(gapMm);
    this.all.last.add(lastMm);
    this.all.step.add(Math.max(0, ...steps.map(({ stepMm }) => Math.abs(stepMm))));
    this.all.wander.add(wander.mm);
    this.all.share.add(wander.share);
    this.all.height.add(built.heightErrorMm);
    this.all.off.add(Math.abs(built.heightErrorMm));
    this.all.left.add(leftMm);
    this.all.shows.add(shows);
    const seen = {
      gapSeen: gapMm > SEEN_GAP,
      stepSeen: steps.some(({ stepMm, seenFromMm }) => Math.abs(stepMm) > seenFromMm),
      misses: leftMm < 0,
      broken: layerLeftMm < 0,
    };
    for (const share of Object.keys(seen) as (keyof typeof seen)[]) if (seen[share]) this.shares[share]++;
    if (!Object.values(seen).some(Boolean)) this.shares.clean++;
    built.rings.forEach(({ glued, outOfRoundMm, leftOutsideMm, leftInsideMm }, i) => {
      const own = this.rings[i]!;
      own.gap.add(glued.gapMm);
      own.round.add(outOfRoundMm);
      own.left.add(Math.min(leftOutsideMm, leftInsideMm));
    });
    const worst = new Map<number, number>();
    const over = new Set<number>();
    for (const { ring, stepMm, seenFromMm } of steps) {
      worst.set(ring, Math.max(worst.get(ring) ?? 0, Math.abs(stepMm)));
      if (Math.abs(stepMm) > seenFromMm) over.add(ring);
    }
    for (const [ring, stepMm] of worst) this.rings[ring]!.step.add(stepMm);
    for (const ring of over) this.rings[ring]!.stepSeen++;
    if (this.kept.length < MOST_KEPT) this.kept.push({ seed, shows });
  }

  outcomes(): Outcomes {
    const { builds, all } = this;
    const share = (count: number) => (builds === 0 ? 0 : count / builds);
    return {
      builds,
      gapMm: spreadOf(all.gap),
      lastMm: spreadOf(all.last),
      stepMm: spreadOf(all.step),
      wanderMm: spreadOf(all.wander),
      wanderShare: spreadOf(all.share),
      heightErrorMm: spreadOf(all.height),
      heightOffMm: spreadOf(all.off),
      leftMm: spreadOf(all.left),
      shows: spreadOf(all.shows),
      gapSeen: share(this.shares.gapSeen),
      stepSeen: share(this.shares.stepSeen),
      misses: share(this.shares.misses),
      broken: share(this.shares.broken),
      clean: share(this.shares.clean),
      rings: this.rings.map(({ gap, round, left, step, stepSeen }) => ({
        gapMm: spreadOf(gap),
        gapSeen: gap.shareOver(SEEN_GAP),
        outOfRoundMm: spreadOf(round),
        leftMm: spreadOf(left),
        misses: 1 - left.shareOver(0),
        stepMm: step.count > 0 ? spreadOf(step) : null,
        stepSeen: share(stepSeen),
      })),
      order: [...this.kept].sort((a, b) => a.shows - b.shows),
    };
  }
}

/** A term of the trade, the words that it is met under, and what it means in one sentence. */
export interface Term {
  readonly name: string;
  readonly met: RegExp;
  readonly means: string;
}

/** Terms of the trade; of several that are met the first is explained. Common practice throughout. */
export const TERMS: readonly Term[] = [
  {
    name: 'kerf',
    met: /\bkerfs?\b/i,
    means: 'The width of the cut: what the blade turns into dust. Measure a trial cut, not the blade.',
  },
  {
    name: 'hold-back',
    met: /hold[- ]?back|held back/i,
    means: 'The last stretch of a strip, too short to be held safely at the saw: it is never cut.',
  },
  {
    name: 'snipe and end trim',
    met: /end trim/i,
    means:
      'What is cut off both ends of a board before anything is measured: checks, and the dip that a planer leaves.',
  },
  {
    name: 'spare',
    met: /\bspares?\b/i,
    means: 'Pieces cut on top of what the ring takes, for those that chip or come out wrong.',
  },
  {
    name: 'test piece',
    met: /test pieces?/i,
    means: 'A piece cut first at a new setting of the saw, to be measured and thrown away.',
  },
  {
    name: 'bond',
    met: /^bond$/i,
    means:
      'How joints lie from ring to ring: half a segment on, as bricks are laid, no joint lies over another.',
  },
  {
    name: 'turn of a ring',
    met: /^turn$/i,
    means: 'How far the ring is turned on the one below before it is glued, in segments of its own.',
  },
  {
    name: 'segment',
    met: /\bsegments?\b/i,
    means: 'One piece of a ring, sawn off a strip at the mitre angle; so many of them close the circle.',
  },
  {
    name: 'spacer',
    met: /\bspacers?\b/i,
    means: 'A thin straight piece glued between two segments, often of a wood that stands out.',
  },
  {
    name: 'swing',
    met: /\bswing\b/i,
    means: 'The largest radius that turns over the bed of the lathe.',
  },
  {
    name: 'truing allowance',
    met: /allowance|truing/i,
    means: 'Wood that a ring has beyond the finished wall on each side, so that it can be turned true.',
  },
  {
    name: 'wall',
    met: /^wall\b/i,
    means: 'The thickness of the turned side, measured square to the curve and not level.',
  },
  {
    name: 'floor',
    met: /^floor\b/i,
    means: 'The thickness of wood under the hollow, from the bench to where the inside begins.',
  },
  {
    name: 'specific gravity',
    met: /specific gravity/i,
    means: 'How heavy the wood is against water; it gives the weight of the piece.',
  },
  {
    name: 'shrinkage',
    met: /shrinkage/i,
    means:
      'How much of its width the wood loses from green to bone dry: across the growth rings (radial), or along them (tangential).',
  },
  {
    name: 'resawing',
    met: /resaw/i,
    means: 'Sawing a board through its thickness into thinner ones, on edge at the bandsaw.',
  },
  {
    name: 'steady',
    met: /\bsteady\b/i,
    means: 'Rollers or a bow that hold the work from outside, so that a long or thin one does not whip.',
  },
  {
    name: 'waste block',
    met: /waste block|fastening|glue block/i,
    means:
      'A block that is glued under the work and screwed or chucked to the lathe, and parted off in the end.',
  },
  {
    name: 'tenon and recess',
    met: /tenon|recess/i,
    means: 'A short round step that the jaws close on (tenon), or a shallow hole that they open in (recess).',
  },
  {
    name: 'parting tool',
    met: /parting/i,
    means: 'A narrow tool that cuts straight in, to take the work off or one ring from another.',
  },
  {
    name: 'repeats',
    met: /repeats|times round/i,
    means: 'How often the same comes round the piece; it has to go into the number of segments.',
  },
  {
    name: 'board foot',
    met: /board f(oo|ee)t|charged by/i,
    means:
      'What boards are sold by: 144 cubic inches, as a board a foot long, a foot wide and an inch thick.',
  },
];

/** The term that a label speaks of; none where it says all itself. */
export const termIn = (label: string): Term | undefined => TERMS.find(({ met }) => met.test(label));

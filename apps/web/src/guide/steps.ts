import type { Project } from '@fellside/core';

/** What a step of the guide looks at to see whether it is done. */
export interface Seen {
  readonly before: Project;
  readonly now: Project;
  readonly years: number;
  readonly path: string;
  readonly ticks: number;
}

/** A step of the guided first piece. */
export interface Step {
  readonly name: string;
  /** Station that it is done at, below the piece's address. */
  readonly at: string;
  readonly says: string;
  isDone(seen: Seen): boolean;
}

const ringsOf = ({ rings }: Project) => rings.map(({ making }) => JSON.stringify(making)).join();

/** From a form to the first card, in the order of the work. */
export const STEPS: readonly Step[] = [
  {
    name: 'Form',
    at: 'form',
    says: 'The teal line is the outside of your bowl. Drag one of its points, or press Tab until one is marked and use the arrow keys. Rings, wood and cuts follow.',
    isDone: ({ before, now }) => before.form !== now.form,
  },
  {
    name: 'Rings',
    at: 'rings',
    says: 'Each line is one ring, glued from segments. Press a ring in the list and give it 24 segments instead of 12: shorter pieces, a rounder ring, another angle at the saw.',
    isDone: ({ before, now }) => ringsOf(before) !== ringsOf(now),
  },
  {
    name: 'Pattern',
    at: 'pattern',
    says: 'Press one of the motifs at the right: it is laid over all rings. Then press 1 or 2 for a wood and paint single places on the wall.',
    isDone: ({ before, now }) => before.rings !== now.rings || before.motifs !== now.motifs,
  },
  {
    name: 'Contrast',
    at: 'pattern',
    says: 'Under “Is it going to show?” move the age: light changes woods, and two that differ today may not in ten years. The weakest pair is named.',
    isDone: ({ years }) => years > 0,
  },
  {
    name: 'Cut list',
    at: 'cuts/saw',
    says: 'This goes to the saw: first the strips by their fence, widest first, then for every mitre angle the stops from long to short. Nothing else has to be measured.',
    isDone: ({ path }) => path.includes('/cuts'),
  },
  {
    name: 'First card',
    at: 'make',
    says: 'One thing at a time: what to set, what to cut, what to check, what can hurt. Press “Done” on the first card when you have read it; it can be taken back.',
    isDone: ({ ticks }) => ticks > 0,
  },
];

import type { DayPlan, OneMore } from '@fellside/core';
import { longSaid, minutesAfter, timeOf } from '../clock.js';

/** Closer than this to the bound (minutes) it is the best that can be. */
const SAME = 1;

/** When all is done, and whether it could be sooner. */
export function doneSaid({ doneAt, bound }: Pick<DayPlan, 'doneAt' | 'bound'>, from: number): string {
  const by = `Done by ${timeOf(minutesAfter(from, doneAt), from)}`;
  return doneAt <= bound.atLeast + SAME
    ? `${by}; in these hours it cannot be sooner.`
    : `${by}; nothing could be done before ${timeOf(minutesAfter(from, bound.atLeast), from)}.`;
}

const ONE: Readonly<Record<OneMore['of'], string>> = {
  bands: 'One more ring clamp',
  presses: 'One more press',
  plates: 'One more faceplate',
  lathes: 'One more lathe',
};

export const oneMoreSaid = ({ of, soonerMinutes }: OneMore): string =>
  `${ONE[of]} saves ${soonerMinutes < 60 ? `${Math.round(soonerMinutes)} minutes` : longSaid(soonerMinutes)}.`;

/** Hands-on time of what is left. */
export const handsSaid = (minutes: number): string =>
  minutes < 60
    ? `${Math.ceil(minutes)} minutes`
    : `${Math.floor(minutes / 60)} h ${String(Math.round(minutes % 60)).padStart(2, '0')}`;

const HELD_UP: Readonly<Record<DayPlan['bound']['by'], string>> = {
  chain:
    'What holds it up is one thing having to wait for another: gluing, curing, coats, and the hours between.',
  hands: 'What holds it up is your hands: more hours would end it sooner.',
  bands: 'What holds it up is the ring clamps.',
  presses: 'What holds it up is the presses.',
  plates: 'What holds it up is the faceplates.',
  lathes: 'What holds it up is the lathe.',
};

/** The bottleneck: what the time that nothing beats comes from. */
export const heldUpSaid = ({ bound }: Pick<DayPlan, 'bound'>): string => HELD_UP[bound.by];

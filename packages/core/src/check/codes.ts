import type { WarningCode } from '../making/warnings.js';
import type { ReasonCode } from '../measure/reasonCodes.js';

/** What a finished plan is looked over for, besides what rings and blanks say of themselves. */
const CHECKS = [
  'band-short',
  'bed',
  'closed-hollow',
  'hollow-disc',
  'inlay-cut-through',
  'inlay-open',
  'inlay-wall',
  'inlays-meet',
  'jaws',
  'layer-line',
  'lid-across',
  'meeting-points',
  'moves',
  'no-contact',
  'open-above',
  'open-below',
  'other-hand',
  'overlap',
  'reach',
  'ring-above-form',
  'short-segment',
  'slant-leaves',
  'stack-short',
  'swing',
  'thin-wall',
  'tone-missing',
  'too-few-to-read',
  'too-narrow',
  'woods-alike',
  'woods-bleed',
  'woods-turn-round',
] as const;

export type CheckCode = (typeof CHECKS)[number] | WarningCode | ReasonCode;

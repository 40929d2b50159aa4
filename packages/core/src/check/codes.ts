import type { WarningCode } from '../making/warnings.js';
import type { ReasonCode } from '../measure/reasonCodes.js';

/** What a finished plan is looked over for, besides what rings and blanks say of themselves. */
const CHECKS = [
  'band-short',
  'bed',
  'hollow-disc',
  'jaws',
  'layer-line',
  'lid-across',
  'meeting-points',
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
] as const;

export type CheckCode = (typeof CHECKS)[number] | WarningCode | ReasonCode;

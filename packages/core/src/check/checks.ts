import type { Check, Subject } from './check.js';
import { hollowDiscChecks } from './hollowDisc.js';
import { impossibleChecks } from './impossible.js';
import { meetingPointChecks } from './meetingPoints.js';
import { overlapChecks } from './overlap.js';
import { shortSegmentChecks } from './shortSegment.js';
import { swingChecks } from './swing.js';

const CHECKS = [
  impossibleChecks,
  overlapChecks,
  shortSegmentChecks,
  meetingPointChecks,
  hollowDiscChecks,
  swingChecks,
];

/** Everything worth a look, gravest first. */
export const checksOf = (subject: Subject): Check[] => CHECKS.flatMap((check) => check(subject));

import { bandShortChecks } from './bandShort.js';
import { blankChecks } from './blanks.js';
import { saidBy } from './eachRing.js';
import { hollowDiscChecks } from './hollowDisc.js';
import { unmadeChecks, unsawnChecks } from './impossible.js';
import { inlayChecks } from './inlays.js';
import { latheChecks } from './lathe.js';
import { layerChecks } from './layers.js';
import { lidChecks } from './lid.js';
import { meetingPointChecks } from './meetingPoints.js';
import { noContactChecks, openEndChecks } from './openWork.js';
import { otherHandChecks } from './otherHand.js';
import { overlapChecks } from './overlap.js';
import { readsChecks } from './reads.js';
import { ringWarningChecks } from './ringWarnings.js';
import { shortSegmentChecks } from './shortSegment.js';
import { slantsLeaveChecks } from './slantsLeave.js';
import { stackChecks } from './stack.js';
import { thinWallChecks } from './thinWall.js';
import { toneChecks } from './tones.js';
import { tooNarrowChecks } from './tooNarrow.js';

/** Everything worth a look, gravest first. */
export const checksOf = saidBy([
  stackChecks,
  bandShortChecks,
  slantsLeaveChecks,
  tooNarrowChecks,
  unmadeChecks,
  unsawnChecks,
  overlapChecks,
  lidChecks,
  thinWallChecks,
  shortSegmentChecks,
  layerChecks,
  readsChecks,
  openEndChecks,
  noContactChecks,
  ringWarningChecks,
  otherHandChecks,
  meetingPointChecks,
  hollowDiscChecks,
  inlayChecks,
  blankChecks,
  latheChecks,
  toneChecks,
]);

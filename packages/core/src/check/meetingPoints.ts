import type { Check, Subject } from './check.js';

/** Rings solid to the centre that are made of segments: the points never meet well. */
export const meetingPointChecks = ({ rings }: Subject): Check[] =>
  rings.flatMap(({ index, gives, pieces }) => {
    if (!gives || gives.innerMm > 0 || !pieces.some(({ kind }) => kind.stock.from === 'strip')) return [];
    const message = `Ring ${index + 1} is solid to the centre, where the points of its segments meet and never meet well. Use a solid disc there, or drill and plug it.`;
    return [{ code: 'meeting-points', ring: index, message, remedies: [{ does: 'make-disc', ring: index }] }];
  });

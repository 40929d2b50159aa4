import type { InlayLies } from '../../inlay/placed.js';
import type { Inlay } from '../../inlay/schema.js';
import { TURN } from '../../measure/quantity.js';
import { type Said, say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import type { Workshop } from '../../settings/workshop.js';
import { after, base } from './atLathe.js';
import type { Job, Need } from './job.js';
import { gluing, handwork } from './takes.js';

/** An inlay that the form takes. */
export interface PlacedInlay {
  readonly inlay: Inlay;
  readonly placed: InlayLies;
}

/** Outlines let into the sanded outside, one after the other: marked and routed, glued in, turned flush. */
export function inlayJobs(inlays: readonly PlacedInlay[], workshop: Workshop, first: readonly Need[]): Job[] {
  let needs = first;
  return inlays.flatMap(({ inlay, placed }, i) => {
    const name = say`${inlay.patch ? 'patch' : 'inlay'} ${i + 1}`;
    const rout: Job = {
      ...base,
      id: `inlay-${inlay.id}-rout`,
      stage: 'outside',
      owners: [],
      title: say`Rout for ${name}`,
      says: routSaid(inlay, placed),
      tool: 'router',
      cautions: ['router', 'dust'],
      needs,
      takes: handwork(workshop, { step: inlay.copies }),
    };
    const glue: Job = {
      ...base,
      id: `inlay-${inlay.id}-glue`,
      stage: 'outside',
      owners: [],
      title: say`Glue in ${name}`,
      says: glueSaid(inlay, placed),
      tool: 'clamps',
      cautions: inlay.seam ? ['thin-stock'] : [],
      needs: after(rout),
      takes: gluing(workshop, { step: inlay.copies }, null),
    };
    const flush: Job = {
      ...base,
      id: `inlay-${inlay.id}-flush`,
      stage: 'outside',
      owners: [],
      title: say`Turn ${name} flush`,
      says: [
        'Lathe slow, light cuts: an insert that stands out is an edge that catches. Then sand it with what is round it.',
      ],
      tool: 'lathe',
      cautions: ['lathe', 'dust'],
      needs: [{ id: glue.id, after: 'cure' }],
      takes: handwork(workshop, { turn: 1, sand: 1 }, 'lathes'),
    };
    needs = [{ id: flush.id, after: 'cure' }];
    return [rout, glue, flush];
  });
}

function routSaid({ copies, depthMm, cutterMm, heightMm, mirrored }: Inlay, { frame }: InlayLies): Said[] {
  const round =
    copies === 1
      ? ''
      : say` ${copies} of them, ${sayRad(TURN / copies)} apart${mirrored ? ', every other one mirrored: turn its template over' : ''}.`;
  return [
    say`Lay the paper template round the piece with its cross at ${sayMm(heightMm, 'place')} above the bench, along the slope from the edges of the rings that are drawn on it, and mark the outline.${round}`,
    say`Lock the spindle. Rout ${sayMm(depthMm, 'depth')} deep with a cutter of ${sayMm(cutterMm, 'diameter')}, the router square to the wall at the middle of the outline: the floor is level there, ${sayMm(frame.radiusMm - depthMm * frame.out.r)} from the axis.`,
  ];
}

function glueSaid(
  { copies, clearanceMm, turnedOver, seam }: Inlay,
  { seamMm, mostDepthMm }: InlayLies,
): Said[] {
  return [
    say`Cut ${sayMade(copies)} inserts ${sayMm(clearanceMm)} smaller all round${turnedOver ? ', mirrored: they go in turned over' : ''}, at least ${sayMm(mostDepthMm, 'thickness')} thick.`,
    ...(seam
      ? [
          say`Bend a strip ${sayMm(seam.widthMm, 'thickness')} thick and ${sayMm(seamMm, 'length')} long round the side of each pocket, its ends meeting at the lowest corner, and glue it before the insert.`,
        ]
      : []),
    'Glue the insert in with a clamping pad that has the shape of the wall.',
  ];
}

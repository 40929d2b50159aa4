import { isSolid, thicker } from '../making/registry.js';
import { type Said, say, sayMm } from '../measure/said.js';
import { bondOf } from '../ring/bond.js';
import type { School } from '../settings/errors.js';
import { frameOf } from '../simulate/frame.js';
import type { Method, ToBuild } from '../simulate/subject.js';
import { halvesPossible } from '../simulate/trueing.js';
import type { Command } from './commands/command.js';
import { scatterTurns, thickenSpacers } from './commands/hidingCommands.js';
import { setBond } from './commands/ringCommands.js';
import type { Project } from './schema.js';

/** Something that makes errors smaller, or hides them: tried, it changes how the piece is put together, or the piece. */
export interface Trial {
  readonly id: 'halves' | 'mark' | 'pins' | 'let-in' | 'brick' | 'lots' | 'wider';
  readonly name: string;
  readonly says: Said;
  readonly method?: Partial<Method>;
  readonly command?: Command;
}

/** By how much stripes are made wider. */
const WIDER = 1.5;
const SEED = 7;

/** Everything that can be tried with a piece put together so. */
export function trialsFor(project: Project, piece: ToBuild, method: Method): Trial[] {
  return [...ofTheWork(piece, method), ...ofThePiece(project, piece)];
}

const ofSchool = (id: Trial['id'], name: string, says: Said, method: Partial<School>): Trial => ({
  id,
  name,
  says,
  method,
});

function ofTheWork({ rings, lines }: ToBuild, method: Method): Trial[] {
  const trials: Trial[] = [];
  if (method.closing !== 'halves' && rings.some(({ made }) => halvesPossible(frameOf(made))))
    trials.push(
      ofSchool(
        'halves',
        'Two halves, sanded true',
        'Rings of an even count are glued as two halves, their ends sanded straight, then joined: no joint is forced, and the ring comes out a little less round.',
        { closing: 'halves' },
      ),
    );
  if (lines.length === 0) return trials;
  if (method.aligning !== 'mark')
    trials.push(
      ofSchool(
        'mark',
        'Turned by a mark on the lathe',
        'Every ring is turned by the index of the lathe and not by the ring below, so that slips do not add up.',
        { aligning: 'mark' },
      ),
    );
  if (!method.pinned)
    trials.push(
      ofSchool(
        'pins',
        'Pins in the waste',
        'Two pins through the waste of neighbouring rings keep a ring from slipping on its glue.',
        { pinned: true },
      ),
    );
  const narrowest = Math.min(
    ...lines.map(({ widthMm }) => widthMm).filter((width) => width > method.letInMm),
  );
  if (narrowest < MOST_LET_IN)
    trials.push({
      id: 'let-in',
      name: 'Stripe let in as one piece',
      says: say`Stripes up to ${sayMm(narrowest)} wide are left out of the rings and let into the turned outside as one strip each.`,
      method: { letInMm: narrowest + HAIR },
    });
  return trials;
}

/** Wider than this nothing is let in over a curve as one strip (mm; a working value). */
const MOST_LET_IN = 12;
const HAIR = 0.01;

function ofThePiece({ rings }: Project, { lines }: ToBuild): Trial[] {
  if (lines.length === 0) return [];
  const met = new Set(lines.flatMap(({ ring }) => [ring, ring + 1]));
  const over = rings.flatMap(({ making }, i) => (met.has(i) && !isSolid(making) ? [i] : []));
  if (over.length < 2) return [];
  const trials: Trial[] = [];
  const brick = { kind: 'brick' } as const;
  if (bondOf(over.map((i) => rings[i]!.turn))?.kind !== brick.kind)
    trials.push({
      id: 'brick',
      name: 'Brick bond',
      says: 'Every other ring is turned by half a segment: no line runs on over rings, and none can wander.',
      command: setBond(over, brick),
    });
  trials.push({
    id: 'lots',
    name: 'Turns by lot',
    says: 'Rings are turned against each other by lot: a pattern that is meant to be uneven hides a slip.',
    command: scatterTurns(over, SEED),
  });
  if (over.some((i) => thicker(rings[i]!.making, WIDER)))
    trials.push({
      id: 'wider',
      name: 'Wider stripes',
      says: 'Spacers half as thick again: the same step is less of their width.',
      command: thickenSpacers(over, WIDER),
    });
  return trials;
}

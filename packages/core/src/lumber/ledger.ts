/**
 * Where the wood of one species goes, mm³, from the finished piece out to the board. Each total is the one before it
 * plus the waste named between them; a test holds them together.
 */
export interface WoodLedger {
  /** Left in the turned piece. */
  finished: number;
  /** Turned away. */
  shavings: number;
  /** = finished + shavings: the pieces at their ring's height. */
  segments: number;
  /** Of these, pieces of rings that are made already, from the stash: nothing is cut or bought for them. */
  stash: number;
  /** Sanded or planed off the faces of the glued ring. */
  faceSanding: number;
  spares: number;
  /** Pieces that lean the other way and come out as well between two fences. */
  otherHand: number;
  /** Kerfs and clean-up of slices sawn from thick pieces. */
  resawing: number;
  /** Sawdust of the mitre cuts. */
  kerf: number;
  /** Slanted ends of strips. */
  wedges: number;
  endTrim: number;
  /** Hold-back tails, and what a full strip has left over. */
  tails: number;
  /** Corners of the blocks that discs, plugs and staves are sawn from. */
  corners: number;
  /** = segments − stash + all wastes since: strips and blocks, planed. */
  strips: number;
  /** Rip kerfs and what the planer takes off nominal thickness. */
  planing: number;
  /** Bought on top, the user's percentage. */
  allowance: number;
  /** = strips + planing + allowance: what has to be bought. */
  bought: number;
}

export const emptyLedger = (): WoodLedger => ({
  finished: 0,
  shavings: 0,
  segments: 0,
  stash: 0,
  faceSanding: 0,
  spares: 0,
  otherHand: 0,
  resawing: 0,
  kerf: 0,
  wedges: 0,
  endTrim: 0,
  tails: 0,
  corners: 0,
  strips: 0,
  planing: 0,
  allowance: 0,
  bought: 0,
});

const KEYS = Object.keys(emptyLedger()) as (keyof WoodLedger)[];

/** Enters all of one account into another. */
export function addLedger(into: WoodLedger, from: WoodLedger): void {
  for (const key of KEYS) into[key] += from[key];
}

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
  /** Sanded or planed off the faces of the glued ring. */
  faceSanding: number;
  spares: number;
  /** Sawdust of the mitre cuts. */
  kerf: number;
  /** Slanted ends of strips. */
  wedges: number;
  endTrim: number;
  /** Hold-back tails, and what a full strip has left over. */
  tails: number;
  /** Corners of the squares that discs are sawn from. */
  corners: number;
  /** = segments + all wastes since: strips and squares, planed. */
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
  faceSanding: 0,
  spares: 0,
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

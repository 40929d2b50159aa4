/**
 * Where the wood of one species goes, mm³, from the finished piece out to the boards it is sawn from. Each total is the one before
 * it plus the waste named between them; a test holds them together. Made by `accountOf`.
 */
export interface WoodLedger {
  /** Left in the turned piece. */
  readonly finished: number;
  /** Turned away. */
  readonly shavings: number;
  /** = finished + shavings: the pieces at their ring's height. */
  readonly segments: number;
  /** Of these, pieces of rings that are made already, from the stash: nothing is cut or bought for them. */
  readonly stash: number;
  /** Of these, pieces that no board gives. */
  readonly short: number;
  /** Sanded or planed off the faces of the glued ring. */
  readonly faceSanding: number;
  /** Spares and test pieces. */
  readonly spares: number;
  /** Pieces that lean the other way and come out as well between two fences. */
  readonly otherHand: number;
  /** Kerfs and clean-up of slices sawn from thick pieces. */
  readonly resawing: number;
  /** Sawdust of the mitre cuts. */
  readonly kerf: number;
  /** Slanted ends of strips. */
  readonly wedges: number;
  /** Corners of the blocks that discs, plugs and staves are sawn from. */
  readonly corners: number;
  /** Hold-back tails, and what a strip has left over behind them. */
  readonly tails: number;
  /** = segments − stash − short + all wastes since: strips and blocks, planed. */
  readonly strips: number;
  /** What planer and resaw take off the thickness of the boards. */
  readonly planing: number;
  /** Rip kerfs. */
  readonly ripping: number;
  /** Ends and the jointed edge, defects, and what is too small to keep. */
  readonly trims: number;
  /** Kept as offcuts. */
  readonly offcuts: number;
  /** = strips + all wastes since: the boards that are sawn. */
  readonly boards: number;
  /** Of these, boards on hand. */
  readonly onHand: number;
  /** = boards − onHand: what is bought. */
  readonly bought: number;
}

/** The vertical scale that all panes share. */
export interface Upright {
  readonly scale: number;
  y(height: number): number;
  readonly height: number;
}

/** What can be taken hold of on the cut-through: the curves, the edges between rings, or nothing. */
export type Grab = 'curve' | 'edges' | 'nothing';

/** Room above the drawings for pane titles and the ledger's headings (px). */
export const HEAD = 56;
/** Room round the drawings (px). */
export const MARGIN = 14;
/** A line of text in the ledger: no ring is drawn lower than this unless the whole piece is to fit (px). */
export const ROW = 17;
/** The ledger's headings (px). */
export const HEADINGS = 24;

/** Room beside a drawing for the labels of its curve (px). */
export const LABELS = 58;

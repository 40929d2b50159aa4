/** Room above the drawings for pane titles and the ledger's headings (px). */
export const HEAD = 56;
/** Room round the drawings (px). */
export const MARGIN = 14;

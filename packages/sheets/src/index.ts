export { SHEET_PAPERS, type SheetPaper } from './page.js';
export { CARD_SIZES, type CardAsk, type CardSize, cardRows, passportCard } from './passportCard.js';
export { type SheetsAsk, shopSheets } from './sheets.js';
export { loadSolver } from './solver.js';

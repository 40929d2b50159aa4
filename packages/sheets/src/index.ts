export { SHEET_PAPERS, type SheetPaper } from './page.js';
export { type SheetsAsk, shopSheets } from './sheets.js';
export { loadSolver } from './solver.js';

import Papa from 'papaparse';

/**
 * Cells that a spreadsheet would take as a formula: they begin with one of its signs, line breaks and spaces before it
 * included. Plain numbers, also negative ones, are left as they are.
 */
const FORMULA = /^\s*(?![-+]?[\d.,]+\s*$)[=+\-@\t\r\n＝＋－＠]/;

/** A table as CSV (RFC 4180); what came from outside never starts a formula. */
export const csvOf = (rows: readonly Readonly<Record<string, string | number>>[]): string =>
  Papa.unparse([...rows], { newline: '\r\n', escapeFormulae: FORMULA });

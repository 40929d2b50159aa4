import type { WoodLedger } from './ledger.js';

/** A step of the account of one wood: a total, or what is added to the total before it (or comes off it) until the next. */
export interface AccountRow {
  readonly key: keyof WoodLedger;
  readonly name: string;
  readonly is: 'total' | 'added' | 'off';
  readonly mm3: number;
}

/** From the finished piece to the boards, in order. */
const ACCOUNT: readonly (readonly [keyof WoodLedger, string, AccountRow['is']])[] = [
  ['finished', 'In the finished piece', 'total'],
  ['shavings', 'turned to shavings', 'added'],
  ['segments', 'In the segments', 'total'],
  ['stash', 'of these, from the stash', 'off'],
  ['short', 'of these, that no board gives', 'off'],
  ['faceSanding', 'sanded off the faces', 'added'],
  ['spares', 'spares and test pieces', 'added'],
  ['otherHand', 'pieces of the other hand', 'added'],
  ['resawing', 'slicing and clean-up', 'added'],
  ['kerf', 'mitre kerfs', 'added'],
  ['wedges', 'slanted ends', 'added'],
  ['corners', 'corners of blocks', 'added'],
  ['tails', 'tails of strips', 'added'],
  ['strips', 'In strips and blocks', 'total'],
  ['planing', 'planing and resawing', 'added'],
  ['ripping', 'rip kerfs', 'added'],
  ['trims', 'ends, edges, defects, slivers', 'added'],
  ['offcuts', 'kept as offcuts', 'added'],
  ['boards', 'Boards sawn', 'total'],
  ['onHand', 'of these, on hand', 'off'],
  ['bought', 'To buy', 'total'],
];

/** The account of one wood, step by step; what comes off is below zero, so that every column adds up. */
export const accountRows = (ledger: WoodLedger): AccountRow[] =>
  ACCOUNT.map(([key, name, is]) => ({ key, name, is, mm3: is === 'off' ? 0 - ledger[key] : ledger[key] }));

/** Where the wood of the boards goes, thrown together: its parts add up to the boards. */
export interface WoodShare {
  readonly name: string;
  readonly short: string;
  readonly mm3: number;
}

const SHARES: readonly (readonly [name: string, short: string, of: readonly (keyof WoodLedger)[]])[] = [
  ['In the segments', 'Segments', ['segments']],
  ['Sawdust and sanding', 'Dust', ['faceSanding', 'kerf', 'resawing', 'ripping']],
  ['Spares and other hand', 'Spares', ['spares', 'otherHand']],
  ['Ends, tails, corners', 'Ends', ['wedges', 'corners', 'tails', 'trims']],
  ['Planing and resawing', 'Planing', ['planing']],
  ['Kept as offcuts', 'Offcuts', ['offcuts']],
];

/** Where the wood of the boards of one species goes, mm³, in a few shares; what no board is sawn for is left out. */
export const woodShares = (ledger: WoodLedger): WoodShare[] =>
  SHARES.map(([name, short, of]) => ({
    name,
    short,
    mm3:
      of.reduce((sum, key) => sum + ledger[key], 0) -
      (of.includes('segments') ? ledger.stash + ledger.short : 0),
  }));

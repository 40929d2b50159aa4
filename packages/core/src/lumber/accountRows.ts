import type { WoodLedger } from './ledger.js';

/** A step of the account of one wood: a total, or what is lost between the total before it and the next. */
export interface AccountRow {
  readonly key: keyof WoodLedger;
  readonly name: string;
  readonly is: 'total' | 'loss';
  readonly mm3: number;
}

/** From the finished piece to the board, in order. */
const ACCOUNT: readonly (readonly [keyof WoodLedger, string, AccountRow['is']])[] = [
  ['finished', 'In the finished piece', 'total'],
  ['shavings', 'turned to shavings', 'loss'],
  ['segments', 'In the segments', 'total'],
  ['stash', 'of these, from the stash', 'loss'],
  ['faceSanding', 'sanded off the faces', 'loss'],
  ['spares', 'spare pieces', 'loss'],
  ['otherHand', 'pieces of the other hand', 'loss'],
  ['resawing', 'resawing and clean-up', 'loss'],
  ['kerf', 'mitre kerfs', 'loss'],
  ['wedges', 'slanted ends', 'loss'],
  ['corners', 'corners of blocks', 'loss'],
  ['endTrim', 'end trim', 'loss'],
  ['tails', 'hold-back tails', 'loss'],
  ['strips', 'In the strips', 'total'],
  ['planing', 'rip kerfs and planing', 'loss'],
  ['allowance', 'waste allowance', 'loss'],
  ['bought', 'To buy', 'total'],
];

/** The account of one wood, step by step. */
export const accountRows = (ledger: WoodLedger): AccountRow[] =>
  ACCOUNT.map(([key, name, is]) => ({ key, name, is, mm3: ledger[key] }));

/** Where the wood that is bought goes, thrown together: its parts add up to what is bought, less what the stash gives. */
export interface WoodShare {
  readonly name: string;
  readonly short: string;
  readonly mm3: number;
}

const SHARES: readonly (readonly [name: string, short: string, of: readonly (keyof WoodLedger)[]])[] = [
  ['In the finished piece', 'In the piece', ['finished']],
  ['Turned to shavings', 'Shavings', ['shavings']],
  ['Sawdust and sanding', 'Dust', ['faceSanding', 'kerf', 'resawing']],
  ['Spares and other hand', 'Spares', ['spares', 'otherHand']],
  ['Ends, tails, corners', 'Ends', ['wedges', 'corners', 'endTrim', 'tails']],
  ['Rip kerfs, planing, allowance', 'Planing', ['planing', 'allowance']],
];

/** Where the wood of one species goes, mm³, thrown together into a few shares. */
export const woodShares = (ledger: WoodLedger): WoodShare[] =>
  SHARES.map(([name, short, of]) => ({ name, short, mm3: of.reduce((sum, key) => sum + ledger[key], 0) }));

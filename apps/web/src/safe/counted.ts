import type { BackupCounts } from '../store/houseApi.js';

const NAMES: readonly (readonly [of: keyof BackupCounts, one: string, many: string])[] = [
  ['pieces', 'piece', 'pieces'],
  ['removed', 'removed piece', 'removed pieces'],
  ['versions', 'version', 'versions'],
  ['woods', 'own wood', 'own woods'],
  ['boards', 'board', 'boards'],
  ['stash', 'ring in the stash', 'rings in the stash'],
  ['patterns', 'pattern', 'patterns'],
  ['pictures', 'picture', 'pictures'],
  ['photos', 'photograph', 'photographs'],
];

/** What a backup holds, in words: “12 pieces, 2 removed pieces, 140 versions”. */
export const countsSaid = (counts: BackupCounts): string =>
  NAMES.filter(([of]) => counts[of] > 0 || of === 'pieces')
    .map(([of, one, many]) => `${counts[of]} ${counts[of] === 1 ? one : many}`)
    .join(', ');

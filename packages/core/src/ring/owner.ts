import { once } from '../measure/memo.js';

declare const named: unique symbol;
type Id<Of> = string & { readonly [named]: Of };

export type RingId = Id<'ring'>;
export type BandId = Id<'band'>;
export type BlankId = Id<'blank'>;

/** What pieces of a list, a check or a selection belong to, by its id in the document: it stays itself wherever it moves. */
export type Owner =
  | { readonly of: 'ring'; readonly id: RingId }
  | { readonly of: 'band'; readonly id: BandId }
  | { readonly of: 'blank'; readonly id: BlankId };

export const ringOwner = (id: string): Owner => ({ of: 'ring', id: id as RingId });
export const bandOwner = (id: string): Owner => ({ of: 'band', id: id as BandId });
export const blankOwner = (id: string): Owner => ({ of: 'blank', id: id as BlankId });

/** One text for one owner: for maps, keys and addresses. */
export const ownerKey = ({ of, id }: Owner): string => `${of}-${id}`;

export const sameOwner = (a: Owner | null | undefined, b: Owner | null | undefined): boolean =>
  a === b || (!!a && !!b && a.of === b.of && a.id === b.id);

/** Different owners, each once, in the order in which they came. */
export const eachOnce = (owners: readonly Owner[]): Owner[] => [
  ...new Map(owners.map((owner) => [ownerKey(owner), owner])).values(),
];

/** What a piece is made up of: a document, or its plan. */
export interface Owned {
  readonly rings: readonly Identified[];
  readonly slants?: readonly Identified[] | undefined;
  readonly blanks?: readonly Identified[] | undefined;
}
interface Identified {
  readonly id: string;
}

/** Who is who in a piece, in the order of the work: rings from the bottom, slanted bands, blanks. */
export interface Roll {
  readonly owners: readonly Owner[];
  /** `ring 3`, `slanted band 1`, `blank 2`; of one that is not there `a part that is gone`. */
  nameOf(owner: Owner): string;
  /** The same at the beginning of a sentence or a line: `Ring 3`. */
  titleOf(owner: Owner): string;
  /** Its place in the order of the work; −1 of one that is not there. */
  indexOf(owner: Owner): number;
  /** Its address in the document, as reasons give it: `rings.2`; empty of one that is not there. */
  pathOf(owner: Owner): string;
  /** The owner that an address in the document lies in. */
  ownerAt(path: string): Owner | null;
}

const SORTS = [
  { list: 'rings', name: 'ring', owner: ringOwner },
  { list: 'slants', name: 'slanted band', owner: bandOwner },
  { list: 'blanks', name: 'blank', owner: blankOwner },
] as const;

export function rollOf(piece: Owned): Roll {
  // Looked up by no more than what has something to be told: of most plans nothing.
  const entries = once(() =>
    SORTS.flatMap(({ list, name, owner }) =>
      (piece[list] ?? []).map(({ id }, i) => ({
        owner: owner(id),
        name: `${name} ${i + 1}`,
        path: `${list}.${i}`,
      })),
    ),
  );
  const places = once(() => new Map(entries().map(({ owner }, i) => [ownerKey(owner), i])));
  const byPath = once(() => new Map(entries().map(({ path, owner }) => [path, owner])));
  const owners = once(() => entries().map(({ owner }) => owner));
  const entry = (owner: Owner) => entries()[places().get(ownerKey(owner)) ?? -1];
  const nameOf = (owner: Owner): string => entry(owner)?.name ?? 'a part that is gone';
  return {
    get owners() {
      return owners();
    },
    nameOf,
    titleOf: (owner) => {
      const name = nameOf(owner);
      return name.charAt(0).toUpperCase() + name.slice(1);
    },
    indexOf: (owner) => places().get(ownerKey(owner)) ?? -1,
    pathOf: (owner) => entry(owner)?.path ?? '',
    ownerAt: (path) => byPath().get(path.split('.', 2).join('.')) ?? null,
  };
}

import { type FormKind, formKindOf } from '@fellside/core';
import type { UseKind } from './entities/use.js';

/** What lists and questions need of a document, without reading it whole ever again. */
export interface Shelved {
  readonly columns: {
    readonly name: string | null;
    readonly heightMm: number | null;
    readonly diameterMm: number | null;
    readonly woods: string | null;
    readonly kind: FormKind | null;
    /** 1 where a day of making stands on its passport. */
    readonly made: 0 | 1;
  };
  readonly uses: readonly { readonly kind: UseKind; readonly key: string }[];
}

const NOTHING: Shelved = {
  columns: { name: null, heightMm: null, diameterMm: null, woods: null, kind: null, made: 0 },
  uses: [],
};

const list = (given: unknown): Record<string, unknown>[] =>
  Array.isArray(given) ? given.filter((each) => typeof each === 'object' && each !== null) : [];
const textOf = (given: unknown): string | null => (typeof given === 'string' ? given : null);
/** What a form is called; null where it has no points. */
function kindOf(form: unknown, points: readonly Record<string, unknown>[]): FormKind | null {
  let [high, mouth, wide] = [-1, 0, 0];
  for (const { heightMm, radiusMm } of points) {
    if (typeof heightMm !== 'number' || typeof radiusMm !== 'number') continue;
    if (heightMm > high) [high, mouth] = [heightMm, radiusMm];
    wide = Math.max(wide, radiusMm);
  }
  const { lid } = (form ?? {}) as { lid?: { joined?: unknown } | null };
  return high < 0
    ? null
    : formKindOf(high, 2 * wide, 2 * mouth, lid ? (lid.joined ? 'joined' : 'loose') : 'none');
}
const most = (values: readonly number[]): number | null =>
  values.length > 0 ? Math.max(...values.slice(0, 1000)) : null;

/**
 * Reads name, size (mm), woods, kind, whether it is made, and uses out of a document of any version, as JSON text; of one that cannot be read, none.
 * The outer curve is monotone between its points (decision 1), so its highest and widest points are the piece's.
 */
export function shelved(document: string): Shelved {
  let read: unknown;
  try {
    read = JSON.parse(document);
  } catch {
    return NOTHING;
  }
  if (typeof read !== 'object' || read === null) return NOTHING;
  const { name, form, rings, palette, underlay, passport } = read as Record<string, unknown>;
  const points = list((form as { points?: unknown } | null | undefined)?.points);
  const numbers = (key: string) =>
    points.flatMap((point) => (typeof point[key] === 'number' ? [point[key] as number] : []));
  const widest = most(numbers('radiusMm'));
  const woods = [...new Set(list(palette).flatMap(({ wood }) => textOf(wood) ?? []))];
  const items = list(rings).flatMap(({ making }) => {
    const { way, item } = (making ?? {}) as Record<string, unknown>;
    return way === 'stock' ? (textOf(item) ?? []) : [];
  });
  const picture = textOf((underlay as { picture?: unknown } | null | undefined)?.picture);
  return {
    columns: {
      name: textOf(name),
      heightMm: most(numbers('heightMm')),
      diameterMm: widest === null ? null : 2 * widest,
      woods: JSON.stringify(woods),
      kind: kindOf(form, points),
      made: (passport as { made?: unknown } | null | undefined)?.made ? 1 : 0,
    },
    uses: [
      ...[...new Set(items)].map((key) => ({ kind: 'stash' as const, key })),
      ...woods.map((key) => ({ kind: 'wood' as const, key })),
      ...(picture === null ? [] : [{ kind: 'picture' as const, key: picture }]),
    ],
  };
}

import type {
  Board,
  FinishId,
  FormKind,
  HandEntry,
  History,
  JournalEntry,
  Learnt,
  NewBoard,
  Pattern,
  Project,
  Shop,
  Species,
  StashEntry,
  StashedRing,
  Tick,
  WorkbookRow,
} from '@fellside/core';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** A project as the server keeps it. */
export interface SavedProject {
  readonly id: string;
  readonly revision: number;
  readonly document: Project;
  readonly history: History;
  readonly savedAt: string;
}
/** A piece as the shelf shows it. */
export interface ShelvedProject {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly heightMm: number | null;
  readonly diameterMm: number | null;
  readonly woods: readonly string[];
  readonly kind: FormKind | null;
  readonly state: ShelfState;
  readonly savedAt: string;
  readonly removedAt: string | null;
  /** Why it cannot be opened; null where it can. */
  readonly unreadable: string | null;
}
/** A page of the shelf, and what holds for all of it. */
export interface ShelfPage {
  readonly total: number;
  readonly tallestMm: number;
  readonly widestMm: number;
  readonly pieces: readonly ShelvedProject[];
}
/** How far a piece is: nothing of it done, something ticked off, a day of making on its passport. */
export type ShelfState = 'planned' | 'begun' | 'made';
/** Which pieces are asked for: on the shelf or removed, by a part of their name, with a wood, of a kind, so far; and in which order. */
export interface ShelfAsk {
  readonly removed: boolean;
  readonly named: string;
  readonly order: 'saved' | 'name' | 'height' | 'width';
  /** Id; empty for any. */
  readonly wood: string;
  readonly kind: FormKind | '';
  readonly state: ShelfState | '';
}
/** All pieces on the shelf, the last saved first. */
export const WHOLE_SHELF: ShelfAsk = {
  removed: false,
  named: '',
  order: 'saved',
  wood: '',
  kind: '',
  state: '',
};
export interface ListedVersion {
  readonly revision: number;
  readonly savedAt: string;
  readonly changes: readonly string[] | null;
}
export interface OldVersion {
  readonly revision: number;
  readonly savedAt: string;
  readonly document: Project;
}
/** A wood that a file has with other figures than here. */
export interface DifferingWood {
  readonly id: string;
  readonly mine: Species;
  readonly theirs: Species;
}
/** A project file to be taken in, with what was decided about it. */
export interface TakeIn {
  readonly text: string;
  readonly woods?: Readonly<Record<string, 'mine' | 'both'>>;
  readonly anew?: boolean;
}
/** Whether the server can write; since when not, and why. */
export type Writable =
  | { readonly ok: true }
  | { readonly ok: false; readonly since: string; readonly sentence: string };
/** Pieces on a page of the shelf. */
const PAGE = 60;
/** A ring of the stash, and the piece that has it. */
export type ListedRing = StashedRing & {
  readonly usedBy: { readonly id: string; readonly name: string } | null;
};
/** A pattern kept on the server. */
export interface KeptPattern {
  readonly id: string;
  readonly pattern: Pattern;
  readonly savedAt: string;
}
export type ListedWood = Species & { readonly own: boolean };

const asked = fetchBaseQuery({ baseUrl: `${location.origin}/api` });

/** Asks the server; where it says that it cannot write, its health is looked at, and told on every screen. */
const askServer: typeof asked = async (args, context, extra) => {
  const answer = await asked(args, context, extra);
  const { status, data } = (answer.error ?? {}) as { status?: unknown; data?: { code?: string } };
  if (status === 503 && data?.code === 'cannot-write') context.dispatch(api.util.invalidateTags(['health']));
  return answer;
};

export const api = createApi({
  reducerPath: 'api',
  baseQuery: askServer,
  tagTypes: ['health', 'shelf', 'woods', 'shop', 'stash', 'patterns', 'boards', 'journal'],
  endpoints: (build) => ({
    projects: build.infiniteQuery<ShelfPage, ShelfAsk, number>({
      infiniteQueryOptions: {
        initialPageParam: 0,
        getNextPageParam: ({ total, pieces }, _, from) =>
          pieces.length > 0 && from + pieces.length < total ? from + pieces.length : undefined,
      },
      query: ({ queryArg, pageParam }) => ({
        url: 'projects',
        params: { ...queryArg, from: pageParam, count: PAGE },
      }),
      providesTags: ['shelf'],
      keepUnusedDataFor: 0,
    }),
    project: build.query<SavedProject, string>({ query: (id) => `projects/${id}`, keepUnusedDataFor: 0 }),
    createProject: build.mutation<SavedProject, Project>({
      query: (document) => ({ url: 'projects', method: 'POST', body: { document } }),
      invalidatesTags: ['shelf'],
    }),
    createMany: build.mutation<SavedProject, readonly Project[]>({
      query: (documents) => ({ url: 'projects/many', method: 'POST', body: { documents } }),
      invalidatesTags: ['shelf'],
    }),
    importProject: build.mutation<SavedProject & { readonly notes: readonly string[] }, TakeIn>({
      query: (body) => ({ url: 'projects/import', method: 'POST', body }),
      invalidatesTags: ['shelf', 'woods'],
    }),
    ticks: build.query<{ readonly ticks: readonly Tick[] }, string>({
      query: (id) => `projects/${id}/progress`,
    }),
    addTicks: build.mutation<void, { readonly id: string; readonly ticks: readonly Tick[] }>({
      query: ({ id, ticks }) => ({ url: `projects/${id}/progress`, method: 'POST', body: { ticks } }),
    }),
    journal: build.query<{ readonly entries: readonly JournalEntry[] }, string>({
      query: (id) => `projects/${id}/journal`,
      providesTags: ['journal'],
      keepUnusedDataFor: 0,
    }),
    addEntries: build.mutation<void, { readonly piece: string; readonly entries: readonly HandEntry[] }>({
      query: ({ piece, entries }) => ({
        url: `projects/${piece}/journal`,
        method: 'POST',
        body: { entries },
      }),
      invalidatesTags: (_, error) => (error ? [] : ['journal']),
    }),
    changeEntry: build.mutation<void, { readonly piece: string; readonly entry: HandEntry }>({
      query: ({ piece, entry }) => ({
        url: `projects/${piece}/journal/${entry.id}`,
        method: 'PUT',
        body: entry,
      }),
      invalidatesTags: ['journal'],
    }),
    removeEntry: build.mutation<void, { readonly piece: string; readonly id: string }>({
      query: ({ piece, id }) => ({ url: `projects/${piece}/journal/${id}`, method: 'DELETE' }),
      invalidatesTags: ['journal'],
    }),
    keepPhoto: build.mutation<{ readonly id: string }, { readonly piece: string; readonly original: Blob }>({
      query: ({ piece, original }) => ({
        url: `projects/${piece}/photos`,
        method: 'POST',
        body: original,
        headers: { 'content-type': original.type },
      }),
    }),
    showPhoto: build.mutation<void, { readonly id: string; readonly view: Blob }>({
      query: ({ id, view }) => ({
        url: `photos/${id}/view`,
        method: 'PUT',
        body: view,
        headers: { 'content-type': view.type },
      }),
    }),
    /** `body` is the JSON that `bodyOf` makes. */
    saveProject: build.mutation<
      Pick<SavedProject, 'id' | 'revision' | 'savedAt'>,
      { readonly id: string; readonly body: string }
    >({
      query: ({ id, body }) => ({
        url: `projects/${id}`,
        method: 'PUT',
        body,
        headers: { 'content-type': 'application/json' },
      }),
      invalidatesTags: ['stash'],
    }),
    versions: build.query<ListedVersion[], string>({
      query: (id) => `projects/${id}/versions`,
      keepUnusedDataFor: 0,
    }),
    version: build.query<OldVersion, { readonly id: string; readonly revision: number }>({
      query: ({ id, revision }) => `projects/${id}/versions/${revision}`,
    }),
    removeForGood: build.mutation<void, string>({
      query: (id) => ({ url: `projects/${id}/for-good`, method: 'DELETE' }),
      invalidatesTags: ['shelf'],
    }),
    removeProject: build.mutation<void, string>({
      query: (id) => ({ url: `projects/${id}`, method: 'DELETE' }),
      invalidatesTags: ['shelf'],
    }),
    restoreProject: build.mutation<void, string>({
      query: (id) => ({ url: `projects/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['shelf'],
    }),
    keepPicture: build.mutation<{ readonly key: string }, Blob>({
      query: (body) => ({ url: 'pictures', method: 'POST', body, headers: { 'content-type': body.type } }),
    }),
    stash: build.query<ListedRing[], void>({
      query: () => 'stash',
      providesTags: ['stash'],
      keepUnusedDataFor: 0,
    }),
    addToStash: build.mutation<ListedRing, StashEntry>({
      query: (body) => ({ url: 'stash', method: 'POST', body }),
      invalidatesTags: ['stash'],
    }),
    removeFromStash: build.mutation<void, string>({
      query: (item) => ({ url: `stash/${item}`, method: 'DELETE' }),
      invalidatesTags: ['stash'],
    }),
    health: build.query<{ readonly writable: Writable }, void>({
      query: () => 'health',
      providesTags: ['health'],
    }),
    patterns: build.query<KeptPattern[], void>({
      query: () => 'patterns',
      providesTags: ['patterns'],
      keepUnusedDataFor: 0,
    }),
    keepPattern: build.mutation<KeptPattern, Pattern>({
      query: (body) => ({ url: 'patterns', method: 'POST', body }),
      invalidatesTags: ['patterns'],
    }),
    removePattern: build.mutation<void, string>({
      query: (id) => ({ url: `patterns/${id}`, method: 'DELETE' }),
      invalidatesTags: ['patterns'],
    }),
    boards: build.query<Board[], void>({ query: () => 'boards', providesTags: ['boards'] }),
    changeBoard: build.mutation<Board, { readonly id: string; readonly board: NewBoard }>({
      query: ({ id, board }) => ({ url: `boards/${id}`, method: 'PUT', body: board }),
      invalidatesTags: ['boards'],
    }),
    /** Takes boards out and puts others in, all or nothing. */
    replaceBoards: build.mutation<
      Board[],
      { readonly remove: readonly string[]; readonly add: readonly NewBoard[] }
    >({
      query: (body) => ({ url: 'boards/replace', method: 'POST', body }),
      invalidatesTags: ['boards'],
    }),
    woods: build.query<ListedWood[], void>({ query: () => 'woods', providesTags: ['woods'] }),
    addWood: build.mutation<ListedWood, Species>({
      query: (body) => ({ url: 'woods', method: 'POST', body }),
      invalidatesTags: ['woods'],
    }),
    removeWood: build.mutation<void, string>({
      query: (id) => ({ url: `woods/${id}`, method: 'DELETE' }),
      invalidatesTags: ['woods'],
    }),
    /** All pieces of the shelf, planned. */
    workbook: build.query<WorkbookRow[], void>({ query: () => 'workbook' }),
    /** What measured rings of all pieces say of how far the shop comes out. */
    learnt: build.query<Learnt[], void>({ query: () => 'shop/learnt' }),
    shop: build.query<Shop, void>({ query: () => 'shop', providesTags: ['shop'] }),
    setShop: build.mutation<Shop, Shop>({
      query: (body) => ({ url: 'shop', method: 'PUT', body }),
      async onQueryStarted(shop, { dispatch, queryFulfilled }) {
        const hope = dispatch(api.util.updateQueryData('shop', undefined, () => shop));
        queryFulfilled.then(
          () => dispatch(api.util.updateQueryData('shopChosen', undefined, () => ({ chosen: true }))),
          hope.undo,
        );
      },
    }),
    shopChosen: build.query<{ readonly chosen: boolean }, void>({ query: () => 'shop/chosen' }),
    putShowOnShelf: build.mutation<void, void>({
      query: () => ({ url: 'show', method: 'POST' }),
      invalidatesTags: ['shelf'],
    }),
  }),
});

/** Where a small drawing of a piece at a revision is, in the colours of what the shop usually finishes with. */
export const drawingUrl = (
  { id, revision }: Pick<ShelvedProject, 'id' | 'revision'>,
  usual: FinishId,
): string => `${location.origin}/api/projects/${id}/drawings/${revision}?finish=${usual}`;

/** Where a photograph is, as it is looked at; `turn` so that a turned one is asked for again. */
export const photoUrl = ({ photo, turn }: { readonly photo: string; readonly turn: number }): string =>
  `${location.origin}/api/photos/${photo}/view?turn=${turn}`;

/** Said wherever something is asked of a server that is away. */
export const NO_ANSWER = 'The server does not answer. Is Fellside still running?';

/** The sentences in what a failed request answered. */
export function sentencesOf(error: unknown): string[] {
  const { status, data } = (error ?? {}) as {
    status?: unknown;
    data?: { reasons?: { message: string }[]; message?: string };
  };
  if (data?.reasons) return data.reasons.map(({ message }) => message);
  if (data?.message) return [data.message];
  return [status === 'FETCH_ERROR' ? NO_ANSWER : 'That did not work; try again.'];
}

import { api } from './api.js';

/** What a backup holds, by sort. */
export interface BackupCounts {
  readonly pieces: number;
  readonly removed: number;
  readonly versions: number;
  readonly woods: number;
  readonly boards: number;
  readonly stash: number;
  readonly patterns: number;
  readonly pictures: number;
  readonly photos: number;
}
export interface CheckedBackup {
  readonly madeAt: string;
  readonly counts: BackupCounts;
  readonly unreadable: readonly string[];
}
export interface ListedBackup {
  readonly name: string;
  readonly kind: 'automatic' | 'by-hand' | 'before-restore';
  readonly madeAt: string;
  readonly bytes: number;
}
/** Where automatic backups go, and how many of each stretch are kept. */
export interface Automatic {
  readonly on: boolean;
  readonly folder: string | null;
  readonly days: number;
  readonly weeks: number;
  readonly months: number;
}
export interface BackupState {
  readonly folder: string;
  readonly automatic: Automatic;
  readonly last: {
    readonly at: string;
    readonly counts: BackupCounts | null;
    readonly failed: string | null;
  } | null;
  readonly backups: readonly ListedBackup[];
}
/** Where this Fellside can be reached from other machines. */
export interface Reach {
  readonly listening: 'here' | 'beyond';
  readonly passphrase: boolean;
  readonly addresses: readonly { readonly url: string; readonly qr: string }[];
  readonly own: readonly string[];
}
export interface LoosePictures {
  readonly pictures: number;
  readonly bytes: number;
}

/** A row beside the pieces that cannot be read; `savedAt` where its sort has a date. */
export interface UnreadableRow {
  readonly sort: 'wood' | 'board' | 'stash' | 'pattern' | 'shop';
  readonly id: string;
  readonly savedAt: string | null;
}

const tagged = api.enhanceEndpoints({
  addTagTypes: ['backups', 'door', 'reach', 'pictures', 'unreadable'],
});

/** The house itself: who may come in, backups, the health of what is kept. */
export const houseApi = tagged.injectEndpoints({
  endpoints: (build) => ({
    door: build.query<{ readonly own: boolean; readonly open: boolean }, void>({
      query: () => 'door',
      providesTags: ['door'],
    }),
    enter: build.mutation<void, string>({
      query: (passphrase) => ({ url: 'door', method: 'POST', body: { passphrase } }),
      invalidatesTags: ['door'],
    }),
    setPassphrase: build.mutation<void, string>({
      query: (passphrase) => ({ url: 'door/passphrase', method: 'PUT', body: { passphrase } }),
      invalidatesTags: ['reach'],
    }),
    reach: build.query<Reach, void>({ query: () => 'door/reach', providesTags: ['reach'] }),
    backups: build.query<BackupState, void>({ query: () => 'backups', providesTags: ['backups'] }),
    makeBackup: build.mutation<{ readonly name: string }, void>({
      query: () => ({ url: 'backups', method: 'POST' }),
      invalidatesTags: ['backups'],
    }),
    setAutomatic: build.mutation<void, Automatic>({
      query: (body) => ({ url: 'backups/automatic', method: 'PUT', body }),
      invalidatesTags: ['backups'],
    }),
    checkBackup: build.mutation<CheckedBackup, string>({
      query: (name) => ({ url: `backups/${encodeURIComponent(name)}/check`, method: 'POST' }),
    }),
    sendBackup: build.mutation<CheckedBackup, Blob>({
      query: (body) => ({
        url: 'backups/sent',
        method: 'POST',
        body,
        headers: { 'content-type': 'application/zip' },
      }),
    }),
    /** Puts a backup back: one of the list, or, with null, the one that was sent. */
    restoreBackup: build.mutation<CheckedBackup & { readonly replaced: string | null }, string | null>({
      query: (name) => ({ url: 'backups/restore', method: 'POST', body: { name } }),
      invalidatesTags: [
        'backups',
        'shelf',
        'woods',
        'shop',
        'stash',
        'patterns',
        'boards',
        'pictures',
        'unreadable',
      ],
    }),
    checkDatabase: build.mutation<{ readonly sound: true }, void>({
      query: () => ({ url: 'health/check', method: 'POST' }),
    }),
    loosePictures: build.query<LoosePictures, void>({
      query: () => 'pictures/unused',
      providesTags: ['pictures'],
      keepUnusedDataFor: 0,
    }),
    unreadable: build.query<UnreadableRow[], void>({
      query: () => 'unreadable',
      providesTags: ['unreadable'],
      keepUnusedDataFor: 0,
    }),
    removeUnreadable: build.mutation<void, Pick<UnreadableRow, 'sort' | 'id'>>({
      query: ({ sort, id }) => ({ url: `unreadable/${sort}/${encodeURIComponent(id)}`, method: 'DELETE' }),
      invalidatesTags: ['unreadable'],
    }),
    clearPictures: build.mutation<LoosePictures, void>({
      query: () => ({ url: 'pictures/unused', method: 'DELETE' }),
      invalidatesTags: ['pictures'],
    }),
  }),
});

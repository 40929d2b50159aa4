import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export const THEMES = ['light', 'bright', 'dark', 'system'] as const;
export type Theme = (typeof THEMES)[number];

/** Where somebody is in the guided first piece: its id, the step from 0, and whether the guide is in sight. */
export interface Guide {
  readonly piece: string;
  readonly step: number;
  readonly open: boolean;
}

/** How this browser likes to see things; kept in it, not with any piece. */
export interface Look {
  readonly theme: Theme;
  /** Columns of the ring ledger that are left out or put in besides the usual ones. */
  readonly columns: Readonly<Record<string, boolean>>;
  /** Whether Form and Rings have the small turntable. */
  readonly inset: boolean;
  /** Ids of pieces that are planned into the same hours. */
  readonly together: readonly string[];
  /** Whether the shelf shows its pieces small. */
  readonly smallShelf: boolean;
  readonly guide: Guide | null;
}

const KEY = 'fellside.look';
const USUAL: Look = {
  theme: 'system',
  columns: {},
  inset: true,
  together: [],
  smallShelf: false,
  guide: null,
};

function kept(): Look {
  try {
    const look = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Look>;
    const together = Array.isArray(look.together) ? look.together.filter((id) => typeof id === 'string') : [];
    const { piece, step, open } = look.guide ?? {};
    const known = typeof piece === 'string' && Number.isInteger(step) && step! >= 0;
    const guide = known ? { piece: piece!, step: step!, open: open === true } : null;
    return {
      ...USUAL,
      ...look,
      guide,
      together,
      theme: THEMES.find((theme) => theme === look.theme) ?? 'system',
    };
  } catch {
    return USUAL;
  }
}

export function keepLook(look: Look): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(look));
  } catch {
    // A full or forbidden store: the look lasts until the page is closed.
  }
}

export const lookSlice = createSlice({
  name: 'look',
  initialState: kept,
  reducers: {
    themed(state, { payload }: PayloadAction<Theme>) {
      state.theme = payload;
    },
    inset(state, { payload }: PayloadAction<boolean>) {
      state.inset = payload;
    },
    together(state, { payload: { id, on } }: PayloadAction<{ id: string; on: boolean }>) {
      const others = state.together.filter((other) => other !== id);
      state.together = on ? [...others, id] : others;
    },
    shelved(state, { payload }: PayloadAction<boolean>) {
      state.smallShelf = payload;
    },
    guided(state, { payload }: PayloadAction<Guide | null>) {
      state.guide = payload;
    },
    column(state, { payload }: PayloadAction<{ id: string; shown: boolean }>) {
      state.columns = { ...state.columns, [payload.id]: payload.shown };
    },
  },
});

export const look = lookSlice.actions;

import type { Block, Goal, Owner, Sight } from '@fellside/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What a stroke of the brush covers. */
export const TOOLS = ['place', 'ring', 'column', 'diagonal', 'patch', 'pick', 'block'] as const;
export type Tool = (typeof TOOLS)[number];

/** A part of the unrolled wall that is marked: rings, and a stretch round the piece in turns. */
export interface Marked {
  readonly low: number;
  readonly high: number;
  readonly from: number;
  readonly widthTurns: number;
}

/** What is neither saved nor undone: what is selected, what the pointer is over, how things are looked at. */
export interface SessionState {
  /** Rings, slanted bands and blanks, the one last clicked at the end. */
  readonly selected: readonly Owner[];
  /** What the pointer is at, by the number under which drawings count it, and the segment, where one shows. */
  readonly hover: { readonly ring: number; readonly place: number | null } | null;
  /** Turned about the axis, radians. */
  readonly view: number;
  /** Palette key that painting uses. */
  readonly brush: string | null;
  readonly fit: boolean;
  /** How many times larger than at first the bench is drawn. */
  readonly zoom: number;
  /** Height that the pointer is at over the cut-through, mm. */
  readonly pointerMm: number | null;
  readonly hatched: boolean;
  readonly tool: Tool;
  /** Segments that a diagonal moves on a ring. */
  readonly across: number;
  /** How often strokes are repeated round the piece. */
  readonly fold: number;
  readonly mirror: boolean;
  readonly marked: Marked | null;
  /** The block that was copied last. */
  readonly copied: Block | null;
  /** How old the piece is shown, years. */
  readonly years: number;
  readonly sight: Sight;
  /** Which side of the wall is unrolled. */
  readonly side: 'outside' | 'inside';
  /** What boards are laid out for, whether what is short is bought, and how many of the piece are cut together. */
  readonly laying: { readonly goal: Goal; readonly buying: boolean; readonly copies: number };
  /** Whether stops and edges are shown as they are computed, and not as they are set. */
  readonly exact: boolean;
}

type Painting = Pick<
  SessionState,
  'tool' | 'across' | 'fold' | 'mirror' | 'marked' | 'copied' | 'years' | 'sight' | 'side'
>;

/** The bench is drawn at most so many times larger than at first. */
const MOST_ZOOM = 12;

const initialState: SessionState = {
  selected: [],
  hover: null,
  view: 0.35,
  brush: null,
  fit: false,
  zoom: 1,
  pointerMm: null,
  hatched: false,
  tool: 'place',
  across: 1,
  fold: 1,
  mirror: false,
  marked: null,
  copied: null,
  years: 0,
  sight: 'usual',
  side: 'outside',
  laying: { goal: 'cost', buying: true, copies: 1 },
  exact: false,
};

export const sessionSlice = createSlice({
  name: 'session',
  initialState,
  reducers: {
    selected(state, { payload }: PayloadAction<readonly Owner[]>) {
      state.selected = [...payload];
    },
    hovered(state, { payload }: PayloadAction<SessionState['hover']>) {
      // The same again is no news: pointers report every pixel.
      if (state.hover?.ring === payload?.ring && state.hover?.place === payload?.place) return;
      state.hover = payload;
    },
    viewed(state, { payload }: PayloadAction<number>) {
      state.view = payload;
    },
    brushed(state, { payload }: PayloadAction<string | null>) {
      state.brush = payload;
    },
    /** How painting goes on, and in what light the piece is looked at. */
    painting(state, { payload }: PayloadAction<Partial<Painting>>) {
      Object.assign(state, payload);
    },
    zoomed(state, { payload }: PayloadAction<number>) {
      state.zoom = Math.min(MOST_ZOOM, Math.max(1, payload));
    },
    pointedAt(state, { payload }: PayloadAction<number | null>) {
      state.pointerMm = payload;
    },
    fitted(state, { payload }: PayloadAction<boolean>) {
      state.fit = payload;
    },
    laidOutFor(state, { payload }: PayloadAction<Partial<SessionState['laying']>>) {
      state.laying = { ...state.laying, ...payload };
    },
    exactShown(state, { payload }: PayloadAction<boolean>) {
      state.exact = payload;
    },
    hatched(state, { payload }: PayloadAction<boolean>) {
      state.hatched = payload;
    },
  },
});

export const session = sessionSlice.actions;

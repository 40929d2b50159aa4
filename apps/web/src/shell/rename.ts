import { edit } from '@fellside/core';
import { editPiece } from '../store/edits.js';

/** Gives the open piece another name. */
export const rename = (name: string) => editPiece(edit.rename(name));

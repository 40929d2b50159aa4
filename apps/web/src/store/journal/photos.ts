import { api, sentencesOf } from '../api.js';
import type { Dispatch } from '../store.js';
import { write } from './writing.js';

/** What is looked at is at most so many pixels on a side. */
const LOOKED_AT = 1600;
const QUALITY = 0.85;
/** The server takes pictures up to this, bytes. */
const MOST = 12 * 1024 * 1024;
const TYPES = ['image/jpeg', 'image/png'];

/** Turns of a photograph, degrees clockwise. */
export type PhotoTurn = 0 | 90 | 180 | 270;

/** A picture turned and shrunk to be looked at, JPEG; null where the browser cannot read it. */
export async function lookedAt(original: Blob, turn: PhotoTurn): Promise<Blob | null> {
  try {
    const image = await createImageBitmap(original);
    const scale = Math.min(1, LOOKED_AT / Math.max(image.width, image.height));
    const [wide, high] = [image.width * scale, image.height * scale];
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = turn % 180 === 0 ? [wide, high] : [high, wide];
    const context = canvas.getContext('2d');
    if (!context) return null;
    context.translate(canvas.width / 2, canvas.height / 2);
    context.rotate((turn * Math.PI) / 180);
    context.drawImage(image, -wide / 2, -high / 2, wide, high);
    image.close();
    return await new Promise((made) => canvas.toBlob(made, 'image/jpeg', QUALITY));
  } catch {
    return null;
  }
}

/** Why a file cannot be a photograph in a journal; null where it can. */
export function whyNoPhoto({
  type,
  size,
  name = 'The file',
}: {
  type: string;
  size: number;
  name?: string;
}): string | null {
  if (!TYPES.includes(type))
    return `${name} is neither a JPEG nor a PNG; save it as one of them, or take the picture here.`;
  if (size > MOST)
    return `${name} has ${(size / 1024 / 1024).toFixed(1)} MB; at most ${MOST / 1024 / 1024} MB are taken.`;
  return null;
}

/** Adds a photograph to a journal: the original as it is, and what is looked at. Gives a sentence where it was not added. */
export const addPhoto =
  (piece: string, original: Blob & { readonly name?: string }, text: string) =>
  async (dispatch: Dispatch): Promise<string | null> => {
    const wrong = whyNoPhoto(original);
    if (wrong) return wrong;
    const view = await lookedAt(original, 0);
    if (!view) return `${original.name ?? 'The picture'} cannot be read as a picture.`;
    const kept = await dispatch(api.endpoints.keepPhoto.initiate({ piece, original }));
    if (!kept.data) return `The photograph was not added: ${sentencesOf(kept.error).join(' ')}`;
    const { id } = kept.data;
    await dispatch(api.endpoints.showPhoto.initiate({ id, view }));
    dispatch(write(piece, { kind: 'photo', photo: id, text, cover: false, turn: 0 }));
    return null;
  };

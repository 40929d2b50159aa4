import {
  elevationPicture,
  finishedPalette,
  flatPicture,
  type JournalEntry,
  type Project,
  passportOf,
  passportPage,
  passportText,
  plan,
  prepare,
  type Result,
  rippingOf,
  type Shop,
  type Species,
} from '@fellside/core';
import { type CardSize, cardRows, passportCard } from '@fellside/sheets';
import { encode } from 'fast-png';
import { create } from 'qrcode';

/** What a passport is made of, and as what: a card of a size, or a page. */
export interface PassportAsk {
  readonly document: Project;
  readonly shop: Shop;
  readonly woods: readonly Species[];
  readonly journal: readonly JournalEntry[];
  /** The photograph that stands on it, as `data:` address. */
  readonly photo: { readonly picture: string; readonly says: string } | null;
  readonly as: CardSize | 'page';
}

/** Points of the picture on a card, and of the wall that is turned on a page. */
const FRONT = 900;
const FLAT = { columns: 1440, rows: 480 } as const;

/** Signs that a scanned code holds at the most, two bytes each (ISO/IEC 18004: 2953 bytes at the lowest correction). */
const MOST_SCANNED = 1200;

/** The passport as PDF or HTML; fails where the piece cannot be planned. */
export async function passportMade(ask: PassportAsk): Promise<Result<Uint8Array>> {
  const { document, shop, woods, journal, photo, as } = ask;
  const prepared = prepare(document, rippingOf(shop));
  if (!prepared.ok) return prepared;
  const planned = plan(document, shop, woods, prepared);
  if (!planned.ok) return planned;
  const { units, workshop } = shop;
  const palette = finishedPalette(document.palette, woods, document.finish ?? workshop.finish.usual);
  const passport = passportOf(document, prepared.value, planned.value, woods, shop, journal);
  const png = (picture: { width: number; height: number; rgba: Uint8Array }) =>
    encode({ width: picture.width, height: picture.height, data: picture.rgba, channels: 4, depth: 8 });
  if (as === 'page') {
    const flat = flatPicture(prepared.value, palette, FLAT.columns, FLAT.rows);
    const picture = `data:image/png;base64,${Buffer.from(png(flat)).toString('base64')}`;
    const { heightMm } = prepared.value.vessel;
    return {
      ok: true,
      value: Buffer.from(passportPage(passport, units, { picture, radiiMm: flat.radiiMm, heightMm, photo })),
    };
  }
  const front = elevationPicture(prepared.value, palette, FRONT);
  const said = passportText(passport, units, cardRows(passport, units, as)).slice(0, MOST_SCANNED);
  const { modules } = create(said, { errorCorrectionLevel: 'L' });
  const card = await passportCard({
    passport,
    units,
    size: as,
    picture: png(front),
    aspect: front.width / front.height,
    code: { size: modules.size, dark: modules.data },
  });
  return { ok: true, value: card };
}

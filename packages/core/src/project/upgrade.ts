import { overLimits } from '../measure/limits.js';
import { done, type Result, refuse, refused } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { fourAnswers, leadsIntoRings } from './fourAnswers.js';
import { layersListed } from './layersListed.js';
import { radiiByName } from './radiiByName.js';
import { SCHEMA_VERSION } from './schema.js';

type Document = Record<string, unknown>;

/** One step each: `UPGRADES[1]` turns a version 1 document into version 2. */
export const UPGRADES: Readonly<Record<number, (document: Document) => Document>> = {
  1: wallAsInside,
  2: moreWays,
  3: motifsOverRings,
  4: featureRings,
  5: slantedBands,
  6: sandedFaces,
  7: radiiNamed,
  8: throughTheShop,
  9: combinedWays,
  10: answersApart,
  11: restAnswered,
  12: discsAnswered,
  13: twistsAnswered,
};

/** Documents of this version and later have the shape that undo steps saved with them speak of, but for the names of radii and layers. */
const STEPS_STAND_SINCE = 2;
const RADII_NAMED_SINCE = 8;
const LAYERS_LISTED_SINCE = 10;
const FOUR_ANSWERS_SINCE = 11;
/** Parameters of rings that have another place since a version. */
const MOVED: readonly { readonly since: number; readonly fields: readonly string[] }[] = [
  { since: 12, fields: ['leanDeg', 'halves', 'divider'] },
  { since: 13, fields: ['floor', 'borderMm', 'waferMm', 'leanDeg', 'hand'] },
  { since: 14, fields: ['stripsMm', 'from', 'boardMm', 'kerfMm', 'cleanUpMm', 'longestMm', 'pinMm'] },
];
const ANSWERED_SINCE = 14;

/** Undo steps saved with a document of version `schema`, as they speak of its shape today; null where they no longer fit. */
export function upgradedSteps<T>(history: T, schema: number): T | null {
  if (schema < STEPS_STAND_SINCE) return null;
  if (schema < FOUR_ANSWERS_SINCE && leadsIntoRings(history)) return null;
  const named = schema < RADII_NAMED_SINCE ? radiiByName(history) : history;
  const listed = schema < LAYERS_LISTED_SINCE ? layersListed(named) : named;
  for (const { since, fields } of MOVED)
    if (schema < since && fields.some((field) => leadsIntoRings(history, field))) return null;
  return (schema < ANSWERED_SINCE ? fourAnswers(listed) : listed) as T;
}

/** A part of a document that is kept by itself, a ring of the stash, as it is said today. */
export const keptUpToDate = (kept: unknown): unknown => fourAnswers(layersListed(radiiByName(kept)));

/** Version 2: the inside is a wall or a curve of its own; foot recess, lid and a picture underneath. */
function wallAsInside({ form, ...rest }: Document): Document {
  const old = typeof form === 'object' && form !== null ? (form as Document) : {};
  const { wallMm, floorMm, ...outside } = old;
  const inside = { by: 'wall', walls: [{ heightMm: 0, wallMm }], floorMm };
  return { ...rest, schema: 2, form: { ...outside, inside, recess: null, lid: null }, underlay: null };
}

/** Version 3: more ways of making a ring; those of version 2 stand as they were. */
function moreWays(document: Document): Document {
  return { ...document, schema: 3 };
}

/** Version 4: motifs that lie over rings. */
function motifsOverRings(document: Document): Document {
  return { ...document, schema: 4, motifs: [] };
}

/** Version 5: feature rings, and blanks beside the stack; what version 4 knows stands as it was. */
function featureRings(document: Document): Document {
  return { ...document, schema: 5 };
}

/** Version 6: slanted bands through the stack; what version 5 knows stands as it was. */
function slantedBands(document: Document): Document {
  return { ...document, schema: 6 };
}

/**
 * Version 7: which faces of a ring are sanded. Rings of version 6 are as their way usually has it: open ones, that cannot be
 * flattened, are now planned without.
 */
function sandedFaces(document: Document): Document {
  return { ...document, schema: 7 };
}

/** Version 8: radii are called radii, `outerMm` and `innerMm` before. */
function radiiNamed(document: Document): Document {
  return { ...(radiiByName(document) as Document), schema: 8 };
}

/** Version 9: ways to build it, rings that are cut, what was sawn off, slopes of points; what version 8 knows stands as it was. */
function throughTheShop(document: Document): Document {
  return { ...document, schema: 9 };
}

/** Version 10: layers of a board as a list, and spacers and gaps in more ways; what version 9 knows stands as it was. */
function combinedWays(document: Document): Document {
  return { ...(layersListed(document) as Document), schema: 10 };
}

/** Version 11: rings of segments are put together from four answers; every ring stays what it was. */
function answersApart(document: Document): Document {
  return { ...(fourAnswers(document) as Document), schema: 11 };
}

/** Version 12: staves, pies and rings of two halves are put together from the same four answers; every ring stays what it was. */
function restAnswered(document: Document): Document {
  return { ...(fourAnswers(document) as Document), schema: 12 };
}

/** Version 13: floors are discs by what they are sawn from, baskets are segments with spacers in leaning joints; every ring stays what it was. */
function discsAnswered(document: Document): Document {
  return { ...(fourAnswers(document) as Document), schema: 13 };
}

/** Version 14: a twisted stack is slices of discs sawn from strips; every ring stays what it was. */
function twistsAnswered(document: Document): Document {
  return { ...(fourAnswers(document) as Document), schema: 14 };
}

/** Brings a document of any older version up to date, one step at a time; leaves judging its fields to the schema. */
export function upgraded(given: unknown): Result<unknown> {
  const over = overLimits(given);
  if (over) return refused(over);
  if (typeof given !== 'object' || given === null || Array.isArray(given))
    return refuse(
      'not-a-project',
      '',
      'This is not a Fellside project: an object with a “schema” number is expected.',
    );
  let document = given as Document;
  const version = document.schema;
  if (typeof version !== 'number')
    return refuse('not-a-project', 'schema', 'This is not a Fellside project: it has no “schema” number.');
  if (version > SCHEMA_VERSION)
    return refuse(
      'too-new',
      'schema',
      say`The project was written by a newer Fellside (version ${version}); this one reads up to version ${SCHEMA_VERSION}.`,
    );
  if (!Number.isInteger(version) || version < 1)
    return refuse('too-old', 'schema', say`File version ${version} is not known.`);
  for (let at = version; at < SCHEMA_VERSION; at++) {
    const step = UPGRADES[at];
    if (!step) return refuse('too-old', 'schema', say`File version ${version} is not known.`);
    document = step(document);
  }
  return done(document);
}

import { blankPlaces } from '../blank/registry.js';
import { vesselOf } from '../form/vessel.js';
import { bodyOf, oneWoodOf, placesOf } from '../making/registry.js';
import { type Reason, type Result, refusedFor } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { judged } from './judged.js';
import { letInReasons } from './letIn.js';
import { type Project, projectSchema } from './schema.js';
import { upgraded } from './upgrade.js';

/**
 * Takes anything as a project: brings old versions up to date, checks shape and limits, then whether the parts fit
 * together. All reasons are returned at once.
 */
export function readProject(given: unknown): Result<Project> {
  const current = upgraded(given);
  if (!current.ok) return current;
  const parsed = judged(projectSchema, current.value);
  if (!parsed.ok) return parsed;
  const reasons = inspect(parsed.value);
  return reasons.length > 0 ? refusedFor(reasons) : parsed;
}

/** What does not fit together in a project whose fields are each allowed. */
export function inspect(project: Project): Reason[] {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return [...vessel.reasons, ...woodReasons(project)];
  const keys = project.palette.map(({ key }) => key);
  return [...woodReasons(project), ...letInReasons(project, keys, vessel.value)];
}

function woodReasons(project: Project): Reason[] {
  const keys = project.palette.map((entry) => entry.key);
  const twice = keys.filter((key, i) => keys.indexOf(key) !== i);
  const ids = project.rings.map((ring) => ring.id);
  const reasons: Reason[] = twice.map((key) => ({
    code: 'palette-twice',
    path: 'palette',
    message: `The palette key “${key}” is there twice.`,
  }));
  const motifs = project.motifs.map(({ id }) => id);
  if (new Set(motifs).size < motifs.length)
    reasons.push({ code: 'motif-twice', path: 'motifs', message: 'Two motifs have the same id.' });
  project.rings.forEach((ring, i) => {
    const places = placesOf(ring.making);
    const where = `rings.${i}`;
    if (ids.indexOf(ring.id) !== i)
      reasons.push({
        code: 'ring-id-twice',
        path: `${where}.id`,
        message: say`Ring ${i + 1}: the id “${ring.id}” is taken by a ring below.`,
      });
    if (ring.woods.length !== places)
      reasons.push({
        code: 'wood-count',
        path: `${where}.woods`,
        message: say`Ring ${i + 1} has ${places} ${places === 1 ? 'place' : 'places'} and ${ring.woods.length} woods; it needs one wood for each place.`,
      });
    if (ring.motif !== undefined && !project.motifs.some(({ id }) => id === ring.motif))
      reasons.push({
        code: 'motif-unknown',
        path: `${where}.motif`,
        message: say`Ring ${i + 1} names the motif “${ring.motif}”, which the project does not have.`,
      });
    reasons.push(...stockReasons(project, i), ...sliceReasons(project, i), ...leafReasons(project, i));
    for (const key of unknownWoods(ring.woods, keys))
      reasons.push({
        code: 'wood-unknown',
        path: `${where}.woods`,
        message: say`Ring ${i + 1} uses “${key}”, which is not in the palette.`,
      });
  });
  return [
    ...reasons,
    ...blankReasons(project, keys),
    ...slantReasons(project, keys),
    ...inlayReasons(project, keys),
  ];
}

/** So many unknown woods of a ring are named. */
const WOODS_NAMED = 4;

const unknownWoods = (woods: readonly string[], keys: readonly string[]): string[] =>
  [...new Set(woods)].filter((wood) => !keys.includes(wood)).slice(0, WOODS_NAMED);

/** Pieces that all blanks of a project may have: a plan of them stays within the blink of an eye. */
const MOST_BLANK_PLACES = 30_000;

/** Blanks have a wood of the palette at every place. */
function blankReasons({ blanks = [] }: Project, keys: readonly string[]): Reason[] {
  const all = blanks.reduce((sum, { making }) => sum + blankPlaces(making), 0);
  if (all > MOST_BLANK_PLACES)
    return [
      {
        code: 'blanks-large',
        path: 'blanks',
        message: say`The blanks have ${all} pieces in all; ${MOST_BLANK_PLACES} are allowed in a project.`,
        limits: { most: MOST_BLANK_PLACES },
      },
    ];
  return blanks.flatMap(({ making, woods }, i): Reason[] => {
    const path = `blanks.${i}.woods`;
    const strange = woods.find((wood) => !keys.includes(wood));
    if (strange !== undefined)
      return [
        {
          code: 'wood-unknown',
          path,
          message: say`Blank ${i + 1} uses “${strange}”, which is not in the palette.`,
        },
      ];
    const places = blankPlaces(making);
    if (places === 0 || places === woods.length) return [];
    const message = say`Blank ${i + 1} has ${places} places and ${woods.length} woods; it needs one for each.`;
    return [{ code: 'woods-count', path, message }];
  });
}

/** Slanted bands have a wood of the palette and ids of their own. */
function slantReasons({ slants = [] }: Project, keys: readonly string[]): Reason[] {
  return slants.flatMap(({ id, wood, woods, count }, i): Reason[] => {
    const where = `slants.${i}`;
    const strange = [wood, ...(woods ?? [])].find((key) => !keys.includes(key));
    if (strange !== undefined) {
      const message = say`Slanted band ${i + 1} uses “${strange}”, which is not in the palette.`;
      return [{ code: 'wood-unknown', path: `${where}.wood`, message }];
    }
    if (woods && woods.length !== (count ?? 1)) {
      const message = say`Slanted band ${i + 1} has ${count ?? 1} pieces and ${woods.length} woods; it needs one for each.`;
      return [{ code: 'wood-count', path: `${where}.woods`, message }];
    }
    if (slants.findIndex((other) => other.id === id) === i) return [];
    const message = say`Slanted band ${i + 1}: the id “${id}” is taken by one before it.`;
    return [{ code: 'slant-id-twice', path: `${where}.id`, message }];
  });
}

/** Inlays and their seams have woods of the palette, and ids of their own. */
function inlayReasons({ inlays = [] }: Project, keys: readonly string[]): Reason[] {
  return inlays.flatMap(({ id, wood, seam }, i): Reason[] => {
    const where = `inlays.${i}`;
    const strange = [wood, ...(seam ? [seam.wood] : [])].find((key) => !keys.includes(key));
    if (strange !== undefined) {
      const message = say`Inlay ${i + 1} uses “${strange}”, which is not in the palette.`;
      return [{ code: 'wood-unknown', path: `${where}.wood`, message }];
    }
    if (inlays.findIndex((other) => other.id === id) === i) return [];
    return [
      {
        code: 'inlay-id-twice',
        path: `${where}.id`,
        message: say`Inlay ${i + 1}: the id “${id}” is taken by one before it.`,
      },
    ];
  });
}

/** Slices of one thick ring are made alike and have the same woods at the same places. */
function sliceReasons({ rings }: Project, index: number): Reason[] {
  const { making, woods } = rings[index]!;
  const body = bodyOf(making);
  if (body === null) return [];
  const first = rings.findIndex((ring) => bodyOf(ring.making) === body);
  const alike = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
  if (alike(making, rings[first]!.making) && alike(woods, rings[first]!.woods)) return [];
  const message = say`Ring ${index + 1} is a slice of the same thick ring as ring ${first + 1}, but is made otherwise or of other woods; slices of one ring are alike.`;
  return [{ code: 'slices-differ', path: `rings.${index}`, message }];
}

/** Places that are sawn from one piece have one wood. */
function leafReasons({ rings }: Project, index: number): Reason[] {
  const { making, woods } = rings[index]!;
  const split = oneWoodOf(making).find((places) =>
    places.some((place) => woods[place] !== woods[places[0]!]),
  );
  if (!split) return [];
  const numbers = split.map((place) => place + 1).join(' and ');
  const message = say`Ring ${index + 1}: segments ${numbers} are sawn from one piece and need one wood.`;
  return [{ code: 'one-piece', path: `rings.${index}.woods`, message }];
}

/** A ring from the stash is what it is: used once, and of its own woods. */
function stockReasons({ rings, palette }: Project, index: number): Reason[] {
  const { making, woods } = rings[index]!;
  if (making.way !== 'stock') return [];
  const twice = rings.findIndex((ring) => ring.making.way === 'stock' && ring.making.item === making.item);
  const species = new Map(palette.map(({ key, wood }) => [key, wood]));
  const reasons: Reason[] = [];
  if (twice !== index)
    reasons.push({
      code: 'stash-twice',
      path: `rings.${index}.making.item`,
      message: say`Ring ${index + 1}: the ring “${making.name}” from the stash is ring ${twice + 1} already; there is only one of it.`,
    });
  if (making.species.some((wood, place) => species.get(woods[place]!) !== wood))
    reasons.push({
      code: 'stash-woods',
      path: `rings.${index}.woods`,
      message: say`Ring ${index + 1} is “${making.name}” from the stash; its woods are what they are and cannot be painted over.`,
    });
  return reasons;
}

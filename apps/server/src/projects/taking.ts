import { createHash } from 'node:crypto';
import {
  copyOf,
  type Project,
  type ProjectFile,
  type Result,
  refuse,
  SHIPPED_WOODS,
  type Species,
} from '@fellside/core';
import { PictureEntity, WoodEntity } from '@fellside/database';
import { ConflictException } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { pictureType } from '../pictures/pictures.service.js';
import { accepted } from '../reasons/answer.js';
import { assertFree } from '../stash/stash.service.js';
import { ownWoods } from '../woods/woods.service.js';
import { insertPiece, type SavedPiece } from './writing.js';

/** What to do with a wood of a file whose figures are not those of the wood of that id here. */
export type WoodChoice = 'mine' | 'both';

export interface Taking {
  /** By id of the wood. */
  readonly woods: Readonly<Record<string, WoodChoice>>;
  /** Rings from the stash are planned anew. */
  readonly anew: boolean;
}

/** A piece that was taken in, and what was changed on the way, in sentences. */
export type TakenPiece = SavedPiece & { readonly notes: readonly string[] };

/**
 * Takes a project file in: the piece, its picture and its woods, all or nothing. 409 `woods-differ` with both sides where a
 * wood is known here with other figures and no choice was given for it.
 */
export async function takeIn(manager: EntityManager, file: ProjectFile, choice: Taking): Promise<TakenPiece> {
  const notes: string[] = [];
  const given = choice.anew ? copyOf(file.project, file.project.name) : file.project;
  await assertFree(manager, given, null);
  const renamed = await takeWoods(manager, file.woods, choice.woods, notes);
  const palette = given.palette.map((entry) => ({ ...entry, wood: renamed.get(entry.wood) ?? entry.wood }));
  const project: Project = { ...given, palette };
  if (file.picture) await takePicture(manager, file.picture, project, notes);
  return { ...(await insertPiece(manager, project)), notes };
}

const same = (a: Species, b: Species): boolean => {
  const sorted = (wood: Species) => JSON.stringify(Object.entries(wood).sort(([x], [y]) => (x < y ? -1 : 1)));
  return sorted(a) === sorted(b);
};

/** Takes woods in; gives the new ids of those that are kept beside one of the same id. */
async function takeWoods(
  manager: EntityManager,
  woods: readonly Species[],
  choices: Taking['woods'],
  notes: string[],
): Promise<Map<string, string>> {
  const here: Species[] = [...SHIPPED_WOODS, ...(await ownWoods(manager))];
  const differing = woods.flatMap((theirs) => {
    const mine = here.find(({ id }) => id === theirs.id);
    return mine && !same(mine, theirs) ? [{ id: theirs.id, mine, theirs }] : [];
  });
  const open = differing.filter(({ id }) => choices[id] === undefined);
  if (open.length > 0)
    throw new ConflictException({
      statusCode: 409,
      code: 'woods-differ',
      message: `The file has ${open.map(({ theirs }) => theirs.name).join(', ')} with other figures than here. Say which are to be used.`,
      woods: open,
    });
  const renamed = new Map<string, string>();
  for (const given of woods) {
    const known = here.find(({ id }) => id === given.id);
    if (known && (same(known, given) || choices[given.id] === 'mine')) continue;
    const species = beside(given, here, notes);
    if (species.id !== given.id) renamed.set(given.id, species.id);
    await manager.insert(WoodEntity, { id: species.id, species: JSON.stringify(species) });
    here.push(species);
  }
  return renamed;
}

/** The wood with an id, name and letter that no other has, as for one that is typed in. */
function beside(given: Species, here: readonly Species[], notes: string[]): Species {
  const taken = (field: 'id' | 'name' | 'letter', value: string) =>
    here.some((wood) => wood[field].toLowerCase() === value.toLowerCase());
  const free = (field: 'id' | 'name' | 'letter', candidates: Iterable<string>): string => {
    if (!taken(field, given[field])) return given[field];
    for (const candidate of candidates) if (!taken(field, candidate)) return candidate;
    return accepted(
      refuse(
        `api:wood-${field}-taken`,
        field,
        `No free ${field} was found for ${given.name}.`,
      ) as Result<string>,
    );
  };
  const species = {
    ...given,
    id: free('id', numbered(given.id.slice(0, 36), '-')),
    name: free('name', numbered(given.name.slice(0, 55), ' ')),
    letter: free('letter', letters()),
  };
  if (species.name !== given.name) notes.push(`${given.name} was taken in as “${species.name}”.`);
  if (species.letter !== given.letter)
    notes.push(`The letter of ${species.name} is ${species.letter}; ${given.letter} was taken.`);
  return species;
}

function* numbered(base: string, between: string): Iterable<string> {
  for (let n = 2; n < 1000; n++) yield `${base}${between}${n}`;
}

function* letters(): Iterable<string> {
  const alphabet = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
  yield* alphabet;
  for (const first of alphabet) for (const second of alphabet.toLowerCase()) yield first + second;
}

async function takePicture(
  manager: EntityManager,
  { key, base64 }: NonNullable<ProjectFile['picture']>,
  project: Project,
  notes: string[],
): Promise<void> {
  const bytes = Buffer.from(base64, 'base64');
  const type = pictureType(bytes);
  const sound = type !== null && createHash('sha256').update(bytes).digest('hex') === key;
  if (!sound || project.underlay?.picture !== key) {
    notes.push('The picture in the file is not the one that the piece names; it was left out.');
    return;
  }
  await manager.upsert(PictureEntity, { key, type, bytes }, ['key']);
}

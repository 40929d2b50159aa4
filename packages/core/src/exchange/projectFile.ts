import { z } from 'zod';
import { done, type Result, refuse } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { readProject } from '../project/inspect.js';
import { judged } from '../project/judged.js';
import type { Project } from '../project/schema.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { type Species, speciesSchema } from '../wood/species.js';

/** Largest document that is read, bytes. */
export const MOST_BYTES = 5 * 1024 * 1024;
/** Largest picture that a file carries, letters of base64: 12 MB. */
const MOST_BASE64 = 16 * 1024 * 1024;
/** Largest project file, bytes: a document and its picture. */
export const MOST_FILE_BYTES = MOST_BYTES + MOST_BASE64;

/** What a project file holds: the project, and the woods it uses that do not ship with Fellside. */
export interface ProjectFile {
  readonly project: Project;
  readonly woods: readonly Species[];
  /** The picture that lies under the drawing. */
  readonly picture?: CarriedPicture | undefined;
}

/** A picture in a file: SHA-256 of its bytes, hexadecimal, and the bytes in base64. */
export interface CarriedPicture {
  readonly key: string;
  readonly base64: string;
}

const envelope = z.strictObject({
  fellside: z.literal('project', {
    error: () => 'This is not a Fellside project file: “fellside” is not “project”.',
  }),
  woods: z.array(speciesSchema).max(200, { abort: true }),
  picture: z
    .strictObject({
      key: z.string().regex(/^[0-9a-f]{64}$/, { error: () => 'The picture has no proper key.' }),
      base64: z
        .string()
        .max(MOST_BASE64, { error: () => 'The picture is larger than the 12 MB that are allowed.' }),
    })
    .optional(),
  project: z.unknown(),
});

/** The file of a project, indented JSON, with those of `woods` that it needs and that do not ship, and its picture. */
export function writeProjectFile(
  project: Project,
  woods: readonly Species[],
  picture?: CarriedPicture,
): string {
  const shipped = new Set(SHIPPED_WOODS.map(({ id }) => id));
  const used = new Set(project.palette.map(({ wood }) => wood));
  const own = woods
    .filter(({ id }) => used.has(id) && !shipped.has(id))
    // What a list says of a wood besides is no part of it.
    .map((wood) => speciesSchema.strip().parse(wood));
  return `${JSON.stringify({ fellside: 'project', woods: own, ...(picture && { picture }), project }, null, 2)}\n`;
}

/** Reads a project file, or a bare project document; all that is wrong with it is told at once. */
export function readProjectFile(text: string): Result<ProjectFile> {
  const bytes = utf8Length(text);
  if (bytes > MOST_FILE_BYTES) return tooLarge(bytes, MOST_FILE_BYTES);
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    return refuse('not-json', '', 'The file is not JSON; a Fellside project file is.');
  }
  if (typeof given !== 'object' || given === null || !('fellside' in given))
    return bytes > MOST_BYTES ? tooLarge(bytes, MOST_BYTES) : bare(given);
  const parsed = judged(envelope, given);
  if (!parsed.ok) return parsed;
  const { woods, picture } = parsed.value;
  const rest = bytes - (picture?.base64.length ?? 0);
  if (rest > MOST_BYTES) return tooLarge(rest, MOST_BYTES);
  const project = readProject(parsed.value.project);
  return project.ok ? done({ project: project.value, woods, ...(picture && { picture }) }) : project;
}

const tooLarge = (bytes: number, most: number): Result<never> =>
  refuse(
    'too-large',
    '',
    say`The file has ${(bytes / 1024 / 1024).toFixed(1)} MB; ${most / 1024 / 1024} MB are allowed.`,
    { most },
  );

function bare(given: unknown): Result<ProjectFile> {
  const project = readProject(given);
  return project.ok ? done({ project: project.value, woods: [] }) : project;
}

/** Bytes of a text in UTF-8. */
function utf8Length(text: string): number {
  let bytes = 0;
  for (const letter of text) {
    const code = letter.codePointAt(0)!;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
  }
  return bytes;
}

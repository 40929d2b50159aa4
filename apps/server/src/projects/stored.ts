import {
  type History,
  NO_HISTORY,
  type Project,
  type Result,
  readProject,
  refuse,
  upgradedSteps,
} from '@fellside/core';

/** A document as it lies in the database, read: brought up to date, with the steps to undo that still fit it. */
export interface ReadDocument {
  readonly document: Project;
  readonly history: History;
}

/**
 * Reads a stored document and its history, judged as a file from outside is; an older one is brought up to date, and steps
 * to undo that speak of a shape which is no more are left behind. What cannot be read, or is of a newer Fellside, is
 * refused with a sentence; what is stored stays as it is.
 */
export function readStored(text: string, history = JSON.stringify(NO_HISTORY)): Result<ReadDocument> {
  const given = json(text);
  if (given === undefined)
    return refuse('api:unreadable', '', 'What is stored of this piece cannot be read; save its raw text.');
  const { schema } = (given ?? {}) as { schema?: number };
  const read = readProject(given);
  if (!read.ok) return read;
  const steps = upgradedSteps(json(history) as History | undefined, schema ?? 0);
  return {
    ok: true,
    value: { document: read.value, history: steps ?? NO_HISTORY },
  };
}

export function json(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

import type { z } from 'zod';
import { shown } from '../measure/field.js';
import type { Reason } from '../measure/reason.js';
import { fromZod, type Said, say } from '../measure/said.js';

type Path = readonly PropertyKey[];

/** Where in a piece a field is, as people say it: `["rings", 2, "heightMm"]` → "Ring 3". */
function whereabouts(path: Path): string {
  const [head, index] = path;
  if (head === 'form' && path[1] === 'inside' && typeof path[3] === 'number')
    return path[2] === 'walls' ? `Wall thickness ${path[3] + 1}` : `Inside point ${path[3] + 1}`;
  if (typeof index !== 'number' && path[1] !== 'points') return '';
  if (head === 'rings' && typeof index === 'number') return `Ring ${index + 1}`;
  if (head === 'palette' && typeof index === 'number') return `Palette entry ${index + 1}`;
  if (head === 'woods' && typeof index === 'number') return `Wood ${index + 1}`;
  if (head === 'form' && typeof path[2] === 'number') return `Curve point ${path[2] + 1}`;
  return '';
}

/** So many unknown keys are named. */
const KEYS_NAMED = 5;

const keysShown = (keys: readonly string[]): string =>
  [
    ...keys.slice(0, KEYS_NAMED).map((key) => `“${key.slice(0, 40)}”`),
    ...(keys.length > KEYS_NAMED ? [`${keys.length - KEYS_NAMED} more`] : []),
  ].join(', ');

const named = (path: Path): string => path.map(String).join('.') || 'the file';

function sentence(issue: z.core.$ZodIssue): Said {
  if (issue.code === 'unrecognized_keys')
    return say`Unknown ${issue.keys.length > 1 ? 'keys' : 'key'} ${keysShown(issue.keys)} in ${named(issue.path)}; nothing unknown is taken in.`;
  const ours = fromZod(issue.message);
  return typeof ours !== 'string' || /[.;]$/.test(ours)
    ? ours
    : say`${named(issue.path)} is ${shown(issue.input)}: ${issue.message}.`;
}

function limitsOf(issue: z.core.$ZodIssue): Record<string, number> | undefined {
  if (issue.code === 'too_small') return { least: Number(issue.minimum) };
  return issue.code === 'too_big' ? { most: Number(issue.maximum) } : undefined;
}

/** So many of Zod's issues are put into words. */
const MOST_WORDED = 100;

/** Zod's issues as our reasons, the first of them: one sentence each, naming the field as people do. */
export const reasonsOf = (error: z.ZodError): Reason[] =>
  error.issues.slice(0, MOST_WORDED).map((issue) => {
    const place = whereabouts(issue.path);
    const limits = limitsOf(issue);
    return {
      code: issue.code,
      path: issue.path.map(String).join('.'),
      message: say`${place ? `${place}: ` : ''}${sentence(issue)}`,
      ...(limits && { limits }),
    };
  });

import {
  type Result,
  readBoardsCsv,
  readOutline,
  readPatternFile,
  readProfile,
  refuse,
} from '@fellside/core';
import type { Readers } from './reading.worker.js';

/** A file that takes longer than this is not read, ms. */
const PATIENCE = 15_000;

const HERE: Readers = { readBoardsCsv, readOutline, readPatternFile, readProfile };

type ValueOf<R extends keyof Readers> = Extract<ReturnType<Readers[R]>, { ok: true }>['value'];

/**
 * Reads a file's text beside the page, which goes on meanwhile: stopped after a while, or when the user says so. Where
 * there are no workers it is read here.
 */
export function readFile<R extends keyof Readers>(
  reader: R,
  given: Parameters<Readers[R]>,
  signal?: AbortSignal,
): Promise<Result<ValueOf<R>>> {
  if (typeof Worker === 'undefined')
    return Promise.resolve((HERE[reader] as (...given: unknown[]) => Result<ValueOf<R>>)(...given));
  return new Promise((answered) => {
    const worker = new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
    const end = (answer: Result<ValueOf<R>>) => {
      clearTimeout(timer);
      worker.terminate();
      answered(answer);
    };
    const timer = setTimeout(
      () =>
        end(
          refuse(
            'web:read-slow',
            '',
            `The file took longer than ${PATIENCE / 1000} s to read and was left; make it simpler.`,
          ),
        ),
      PATIENCE,
    );
    signal?.addEventListener('abort', () =>
      end(refuse('web:read-cancelled', '', 'Reading the file was stopped.')),
    );
    worker.onmessage = ({ data }) => end(data);
    worker.onerror = () => end(refuse('web:read-failed', '', 'The file cannot be read.'));
    worker.postMessage({ reader, given });
  });
}

import { readBoardsCsv, readOutline, readPatternFile, readProfile } from '@fellside/core';

/** What can be read from a file. */
const READERS = { readBoardsCsv, readOutline, readPatternFile, readProfile } as const;
export type Readers = typeof READERS;

self.onmessage = ({ data: { reader, given } }: MessageEvent<{ reader: keyof Readers; given: never[] }>) => {
  const read = READERS[reader] as (...given: never[]) => unknown;
  self.postMessage(read(...given));
};

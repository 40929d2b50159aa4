import type { Result } from '@fellside/core';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../ui/Button.js';
import { readFile } from './reading.js';
import type { Readers } from './reading.worker.js';

/** Reads files beside the page; while one takes long, a word on it and a way to stop it. */
export function useReading() {
  const stop = useRef<AbortController | null>(null);
  const [slow, setSlow] = useState(false);
  useEffect(() => () => stop.current?.abort(), []);
  const read = async <R extends keyof Readers>(reader: R, given: Parameters<Readers[R]>) => {
    stop.current?.abort();
    const mine = new AbortController();
    stop.current = mine;
    const timer = setTimeout(() => setSlow(true), 400);
    const answer = await readFile(reader, given, mine.signal);
    clearTimeout(timer);
    setSlow(false);
    return answer as Result<Extract<ReturnType<Readers[R]>, { ok: true }>['value']>;
  };
  const busy = slow ? (
    <span role="status" className="flex items-center gap-2 text-sm">
      Reading the file… <Button onClick={() => stop.current?.abort()}>Stop</Button>
    </span>
  ) : null;
  return { read, busy };
}

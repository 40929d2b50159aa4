import { type Board, boardsCsv, type NewBoard, type Species, sentenceIn } from '@fellside/core';
import { Download, Upload } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';
import { saveFile } from '../ui/saveFile.js';
import { useReading } from '../workers/useReading.js';

interface Asked {
  readonly boards: readonly NewBoard[];
  readonly wrong: readonly string[];
}

/** Boards out as CSV, and in: where lines are wrong, none is taken before it is asked. */
export function BoardFiles({ boards, woods }: { boards: readonly Board[]; woods: readonly Species[] }) {
  const units = useApp(unitsOf);
  const [replace] = api.useReplaceBoardsMutation();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [said, setSaid] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const reading = useReading();
  const take = (add: readonly NewBoard[]) =>
    replace({ remove: [], add })
      .unwrap()
      .then(() => setSaid(`${add.length} ${add.length === 1 ? 'board is' : 'boards are'} taken in.`))
      .catch((error) => setSaid(sentencesOf(error).join(' ')))
      .finally(() => setAsked(null));
  const read = async (file: File) => {
    const answer = await reading.read('readBoardsCsv', [await file.text(), woods]);
    if (!answer.ok) {
      setAsked({ boards: [], wrong: answer.reasons.map(({ message }) => sentenceIn(message, units)) });
      return;
    }
    const { boards: good, wrong } = answer.value;
    if (wrong.length === 0) await take(good);
    else
      setAsked({
        boards: good,
        wrong: wrong.map(({ line, message }) => `Line ${line}: ${sentenceIn(message, units)}`),
      });
  };
  return (
    <>
      <span role="status" className="text-sm text-quiet">
        {said}
      </span>
      {reading.busy}
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        aria-label="A CSV file of boards"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void read(file);
        }}
      />
      <Button onClick={() => input.current?.click()}>
        <Upload aria-hidden size={14} /> Read CSV
      </Button>
      <Button
        disabled={boards.length === 0}
        onClick={() => saveFile('boards.csv', 'text/csv', boardsCsv(boards, woods, units))}
      >
        <Download aria-hidden size={14} /> CSV
      </Button>
      {asked && (
        <Dialog.Root open onOpenChange={(now) => !now && setAsked(null)}>
          <Sheet
            title="Not all of it can be read"
            says={
              asked.boards.length === 0
                ? 'Nothing has been taken in.'
                : `Nothing has been taken in yet. ${asked.boards.length} ${asked.boards.length === 1 ? 'board' : 'boards'} of the file can be.`
            }
          >
            <ul className="max-h-60 list-disc overflow-auto pl-5 text-sm text-rust">
              {asked.wrong.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <div className="mt-4 flex justify-end gap-2">
              <Button onClick={() => setAsked(null)}>Take none</Button>
              {asked.boards.length > 0 && (
                <Button kind="main" onClick={() => take(asked.boards)}>
                  Take the {asked.boards.length} that can be read
                </Button>
              )}
            </div>
          </Sheet>
        </Dialog.Root>
      )}
    </>
  );
}

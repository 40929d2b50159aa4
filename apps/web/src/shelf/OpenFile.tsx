import { sentenceIn } from '@fellside/core';
import { Dialog } from 'radix-ui';
import { type ChangeEvent, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type DifferingWood, sentencesOf, type TakeIn } from '../store/api.js';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';
import { DifferingWoods } from './DifferingWoods.js';

type Question =
  | { readonly ask: 'woods'; readonly take: TakeIn; readonly woods: readonly DifferingWood[] }
  | { readonly ask: 'stash'; readonly take: TakeIn; readonly says: readonly string[] };

/** Takes in a project file; asks where its woods differ from those here, or its rings of the stash are taken. */
export function OpenFile({ onTrouble }: { onTrouble: (sentences: readonly string[]) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const units = useApp(unitsOf);
  const [importFile, { isLoading }] = api.useImportProjectMutation();
  const [question, setQuestion] = useState<Question | null>(null);
  const take = async (given: TakeIn) => {
    setQuestion(null);
    const answer = await importFile(given);
    if (answer.data) {
      onTrouble(answer.data.notes);
      if (answer.data.notes.length === 0) navigate(`/piece/${answer.data.id}/form`);
      return;
    }
    const { status, data } = answer.error as {
      status: unknown;
      data?: { code?: string; woods?: DifferingWood[]; reasons?: { code: string }[] };
    };
    const sentences = sentencesOf(answer.error).map((sentence) => sentenceIn(sentence, units));
    if (status === 409 && data?.code === 'woods-differ')
      setQuestion({ ask: 'woods', take: given, woods: data.woods ?? [] });
    else if (data?.reasons?.length && data.reasons.every(({ code }) => code === 'stash-taken'))
      setQuestion({ ask: 'stash', take: given, says: sentences });
    else onTrouble(['The file was not taken in.', ...sentences]);
  };
  const chosen = async ({ currentTarget }: ChangeEvent<HTMLInputElement>) => {
    const file = currentTarget.files?.[0];
    currentTarget.value = '';
    if (file) await take({ text: await file.text() });
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="hidden"
        aria-label="Project file"
        onChange={chosen}
      />
      <Button disabled={isLoading} onClick={() => input.current?.click()}>
        Open a file
      </Button>
      {question && (
        <Dialog.Root open onOpenChange={(now) => !now && setQuestion(null)}>
          {question.ask === 'woods' ? (
            <DifferingWoods
              woods={question.woods}
              onCancel={() => setQuestion(null)}
              onChosen={(woods) => void take({ ...question.take, woods })}
            />
          ) : (
            <Sheet title="Rings that another piece has" says={question.says.join(' ')}>
              <div className="flex justify-end gap-2">
                <Button onClick={() => setQuestion(null)}>Take nothing in</Button>
                <Button kind="main" onClick={() => void take({ ...question.take, anew: true })}>
                  Take it in, those rings planned anew
                </Button>
              </div>
            </Sheet>
          )}
        </Dialog.Root>
      )}
    </>
  );
}

import { Camera } from 'lucide-react';
import { useState } from 'react';
import { addPhoto } from '../../store/journal/photos.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { CameraDialog } from './CameraDialog.js';

/** Photographs are added from files, or taken here where the machine has a camera that the browser may use. */
export function AddPhoto({ piece }: { piece: string }) {
  const dispatch = useActions();
  const [text, setText] = useState('');
  const [said, setSaid] = useState('');
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const [camera, setCamera] = useState(false);
  const add = async (files: readonly (Blob & { readonly name?: string })[]) => {
    setSaid('Being added…');
    const told: string[] = [];
    for (const file of files) {
      const sentence = await dispatch(addPhoto(piece, file, text.trim()));
      if (sentence) told.push(sentence);
    }
    const added = files.length - told.length;
    setWrong(told);
    setSaid(added === 0 ? '' : added === 1 ? 'It is in the journal.' : `${added} are in the journal.`);
    if (added > 0) setText('');
  };
  return (
    <div className="flex flex-col gap-2">
      <label className="text-sm text-quiet">
        What is on it
        <input
          className="block h-11 w-full rounded border border-line bg-raised px-2 text-ink"
          maxLength={400}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <label className="flex min-h-[44px] cursor-pointer items-center justify-center rounded border border-teal bg-teal px-3 text-on-teal has-focus-visible:outline-2">
        Add from files…
        <input
          type="file"
          accept="image/jpeg,image/png"
          multiple
          className="sr-only"
          onChange={(event) => {
            const files = [...(event.target.files ?? [])];
            event.target.value = '';
            if (files.length > 0) void add(files);
          }}
        />
      </label>
      {navigator.mediaDevices && (
        <Button className="h-11!" onClick={() => setCamera(true)}>
          <Camera aria-hidden size={18} /> Take one here…
        </Button>
      )}
      <p role="status" className="text-sm">
        {said}
      </p>
      {wrong.map((sentence) => (
        <p key={sentence} role="alert" className="text-sm text-rust">
          {sentence}
        </p>
      ))}
      {camera && (
        <CameraDialog
          onClose={() => setCamera(false)}
          onTaken={(taken) => {
            setCamera(false);
            void add([taken]);
          }}
        />
      )}
    </div>
  );
}

import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/Button.js';
import { Sheet } from '../../ui/Sheet.js';

const QUALITY = 0.92;

/** What the camera sees, until the picture is taken. */
export function CameraDialog({
  onTaken,
  onClose,
}: {
  onTaken: (picture: Blob) => void;
  onClose: () => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState('');
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let [stream, left]: [MediaStream | null, boolean] = [null, false];
    const end = () => {
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
    navigator.mediaDevices
      .getUserMedia({ video: { facingMode: 'environment', width: { ideal: 2560 } }, audio: false })
      .then((seen) => {
        stream = seen;
        if (left) return end();
        if (video.current) video.current.srcObject = seen;
      })
      .catch(() =>
        setTrouble(
          'There is no camera that may be used here. Allow it in the browser, or add the picture from a file.',
        ),
      );
    return () => {
      left = true;
      end();
    };
  }, []);
  const take = () => {
    const seen = video.current;
    if (!seen) return;
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [seen.videoWidth, seen.videoHeight];
    canvas.getContext('2d')?.drawImage(seen, 0, 0);
    canvas.toBlob((picture) => picture && onTaken(picture), 'image/jpeg', QUALITY);
  };
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Sheet title="Take a picture" says="It is kept on this server only." size="wide">
        {trouble ? (
          <p role="alert" className="text-rust">
            {trouble}
          </p>
        ) : (
          <video
            ref={video}
            autoPlay
            muted
            playsInline
            aria-label="What the camera sees"
            className="max-h-[60vh] w-full rounded bg-black"
            onLoadedMetadata={() => setReady(true)}
          />
        )}
        <div className="mt-3 flex justify-end gap-2">
          <Button className="h-11!" onClick={onClose}>
            Leave it
          </Button>
          <Button kind="main" className="h-11!" disabled={!ready} onClick={take}>
            Take the picture
          </Button>
        </div>
      </Sheet>
    </Dialog.Root>
  );
}

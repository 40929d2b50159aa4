import { Dialog } from 'radix-ui';
import { Button } from './Button.js';

/** The foot of a form on a sheet: leave it, or send it off under the name of what it does. */
export function SheetFoot({ main }: { main: string }) {
  return (
    <div className="col-span-full flex justify-end gap-2">
      <Dialog.Close asChild>
        <Button>Cancel</Button>
      </Dialog.Close>
      <Button kind="main" type="submit">
        {main}
      </Button>
    </div>
  );
}

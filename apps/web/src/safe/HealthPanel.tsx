import { useState } from 'react';
import { sentencesOf } from '../store/api.js';
import { houseApi } from '../store/houseApi.js';
import { Button } from '../ui/Button.js';
import { sizeOf } from '../ui/times.js';
import { Panel } from './Panel.js';

/** The database looked through on demand, and pictures that nothing uses cleared away. */
export function HealthPanel() {
  const [check, { isLoading }] = houseApi.useCheckDatabaseMutation();
  const { data: loose } = houseApi.useLoosePicturesQuery();
  const [clear] = houseApi.useClearPicturesMutation();
  const [said, setSaid] = useState('');
  const look = async () => {
    const { error } = await check();
    setSaid(
      error ? sentencesOf(error).join(' ') : 'The database is sound: every page and every index was read.',
    );
  };
  const sweep = async () => {
    const { data, error } = await clear();
    setSaid(
      error
        ? sentencesOf(error).join(' ')
        : `${data.pictures === 1 ? 'One picture was' : `${data.pictures} pictures were`} cleared away, ${sizeOf(data.bytes)}.`,
    );
  };
  return (
    <Panel title="What is kept">
      <div className="flex flex-wrap items-center gap-2">
        <Button disabled={isLoading} onClick={look}>
          {isLoading ? 'Looking it through…' : 'Look the database through'}
        </Button>
        {loose && loose.pictures > 0 && (
          <Button onClick={sweep}>
            Clear {loose.pictures} unused {loose.pictures === 1 ? 'picture' : 'pictures'} away
          </Button>
        )}
      </div>
      <p className="mt-2 text-sm text-quiet">
        {loose?.pictures === 0
          ? 'Every picture is used by a piece, one of its versions or a step to undo.'
          : 'Unused pictures are in no piece, no version and no step to undo.'}
      </p>
      <p role="status" className="mt-1 text-sm">
        {said}
      </p>
    </Panel>
  );
}

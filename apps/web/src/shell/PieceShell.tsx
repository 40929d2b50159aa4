import { useEffect } from 'react';
import { Outlet, useParams } from 'react-router';
import { GuideStrip } from '../guide/GuideStrip.js';
import { api } from '../store/api.js';
import { openPiece } from '../store/opening.js';
import { planTold } from '../store/planning.js';
import { useLive } from '../store/progress/useLive.js';
import { planAskOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { planBeside } from '../workers/planning.js';
import { Conflict } from './Conflict.js';
import { FootBar } from './FootBar.js';
import { Messages } from './Messages.js';
import { Problem } from './Problem.js';

/** Opens the piece of the address, and keeps the foot bar in view at every station. */
export function PieceShell() {
  const { id = '' } = useParams();
  const dispatch = useActions();
  const openId = useApp((state) => state.piece.id);
  const name = useApp((state) => state.piece.edited?.project.name);
  const { data, isError, isFetching } = api.useProjectQuery(id, { skip: openId === id });
  useEffect(() => {
    if (!data || isFetching || openId === data.id || data.id !== id) return;
    dispatch(session.selected([]));
    dispatch(session.brushed(null));
    dispatch(session.painting({ marked: null }));
    void dispatch(openPiece(data));
  }, [data, isFetching, openId, id, dispatch]);
  if (isError && openId !== id) return <Problem missing />;
  if (openId !== id) return <p className="p-6 text-quiet">Opening the piece…</p>;
  return (
    <>
      <Planning />
      <Live id={id} />
      <h1 className="sr-only">{name}</h1>
      <Conflict />
      <GuideStrip />
      <div className="flex min-h-0 flex-1 flex-col max-wide:overflow-y-auto">
        <Outlet />
      </div>
      <Messages />
      <FootBar />
    </>
  );
}

/** Follows what other devices do to the open piece. */
function Live({ id }: { id: string }) {
  useLive(id);
  return null;
}

/** How long the hand rests within a gesture before figures follow it, ms: worked out meanwhile, they would slow it. */
const HAND_RESTS = 200;

/** Has plans worked out beside the page where they are, whenever what they hang on changes. */
function Planning() {
  const dispatch = useActions();
  const ask = useApp(planAskOf);
  useEffect(() => {
    if (!ask) return;
    const begin = () =>
      planBeside(ask, (plan) => dispatch(planTold({ of: ask.project, from: ask.from, plan })));
    if (ask.project === ask.from) return begin();
    const waiting = setTimeout(begin, HAND_RESTS);
    return () => clearTimeout(waiting);
  }, [ask, dispatch]);
  return null;
}

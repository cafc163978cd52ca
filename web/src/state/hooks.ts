import { useCallback, useMemo, type PointerEvent } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { useParams, useSearchParams } from 'react-router';
import { set } from '@sill/core';
import type { Change, Finding, Job, PathIn, Piece, Plan, StageName, Units, ValueIn } from '@sill/core';
import { changed } from './bench';
import type { Edges } from './edges';
import { notesOf } from './notes';
import { marked } from './view';
import type { AppDispatch, RootState } from './root';

export const useApp = useDispatch.withTypes<AppDispatch>();
export const useFrom = useSelector.withTypes<RootState>();

/** What the page reaches beyond itself, as the store was given it. */
export function useEdges(): Edges {
  const dispatch = useApp();
  return useMemo(() => dispatch((_dispatch: AppDispatch, _state: () => RootState, edges: Edges) => edges), [dispatch]);
}

/** The job on the bench. Only for screens that are shown when one is open. */
export function useJob(): Job {
  const job = useFrom((state) => state.bench.job);
  if (!job) throw new Error('No job is open');
  return job;
}

export const usePlan = (): Plan | null => useFrom((state) => state.planning.plan);
export const useUnits = (): Units => useFrom((state) => state.bench.job?.units ?? 'in');

/** The piece in view: the one the address names, else the first; null in an empty job. */
export function usePiece(): Piece | null {
  const job = useJob();
  const [search] = useSearchParams();
  return job.pieces.find((piece) => piece.id === search.get('piece')) ?? job.pieces[0] ?? null;
}

/** The computed facts of the piece in view, once its plan is there. */
export function usePieceFacts(): Plan['pieces'][number] | null {
  const piece = usePiece();
  const plan = usePlan();
  return plan?.pieces.find((facts) => facts.piece.id === piece?.id) ?? null;
}

export function useChange(): (changes: readonly Change[]) => void {
  const dispatch = useApp();
  return useCallback((changes) => void dispatch(changed(changes)), [dispatch]);
}

/** Sets one thing of a piece: what the compiler knows to be there. */
export function useChangePiece(
  piece: string,
): <const P extends PathIn<Piece>>(path: P, value: ValueIn<Piece, P>) => void {
  const change = useChange();
  return useCallback((path, value) => change([set(piece, path, value)]), [change, piece]);
}

/** Sets one thing of the job itself. */
export function useChangeJob(): <const P extends PathIn<Job>>(path: P, value: ValueIn<Job, P>) => void {
  const change = useChange();
  return useCallback((path, value) => change([set(null, path, value)]), [change]);
}

/** Whether a part is marked, and the handlers that mark it while it is under the pointer or has the focus. */
export function useMark(id: string | null) {
  const dispatch = useApp();
  const isMarked = useFrom((state) => id !== null && state.view.marked === id);
  const handlers = useMemo(() => {
    if (id === null) return {};
    const on = () => void dispatch(marked(id));
    const off = () => void dispatch(marked(null));
    return { onPointerEnter: on, onPointerLeave: off, onFocus: on, onBlur: off };
  }, [dispatch, id]);
  return { marked: isMarked, handlers };
}

/** The marked part, and handlers for a drawing that mark the part whose `data-part` is under the pointer. */
export function usePointing(live: boolean) {
  const dispatch = useApp();
  const found = useFrom((state) => (live ? state.view.marked : null));
  const handlers = useMemo(() => {
    if (!live) return {};
    return {
      onPointerOver: (event: PointerEvent<SVGElement>) => {
        const part = (event.target as Element).closest('[data-part]')?.getAttribute('data-part');
        if (part) dispatch(marked(part));
      },
      onPointerLeave: () => void dispatch(marked(null)),
    };
  }, [dispatch, live]);
  return { marked: found, handlers };
}

export function useStage(): StageName {
  return (useParams()['stage'] ?? 'brief') as StageName;
}

export function useNotes(): readonly Finding[] {
  const stage = useStage();
  const plan = usePlan();
  const piece = usePiece();
  return useMemo(() => notesOf(plan, stage, piece?.id ?? null), [plan, stage, piece?.id]);
}

import { useCallback } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import type { StageName } from '@sill/core';

/** Moves to a stage and keeps the piece in view. */
export function useGo(): {
  readonly to: (stage: StageName) => string;
  readonly go: (stage: StageName) => void;
  readonly packet: string;
  /** The build record, on paper. */
  readonly buildRecord: string;
} {
  const { id } = useParams();
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const query = search.toString();
  const to = useCallback((stage: StageName) => `/jobs/${id}/${stage}${query ? `?${query}` : ''}`, [id, query]);
  return {
    to,
    go: useCallback((stage) => void navigate(to(stage)), [navigate, to]),
    packet: `/jobs/${id}/packet`,
    buildRecord: `/jobs/${id}/build-record`,
  };
}

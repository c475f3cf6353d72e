import { ROUTES } from '@big-ladle/core/contract';
import { useQuery } from '@tanstack/react-query';
import { ask } from '../api.ts';
import { keys } from '../queries.ts';

/** All gatherings, the first to be served first. */
export const useGatherings = () =>
  useQuery({ queryKey: keys.gatherings, queryFn: () => ask(ROUTES.gatherings, {}) });

import { ROUTES } from '@big-ladle/core/contract';
import { useQuery } from '@tanstack/react-query';
import { ask } from './api.ts';
import { keys } from './queries.ts';

/** Packets and purchases that were named, the last first: asked anew wherever they are looked at. */
export const usePurchases = () =>
  useQuery({ queryKey: keys.purchases, queryFn: () => ask(ROUTES.purchases, {}), refetchOnMount: 'always' });

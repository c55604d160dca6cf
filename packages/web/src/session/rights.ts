import { translateIfAny } from '../messages/t.ts';
import { rightOf, whyNot, type Right } from '@long-miter/core';
import { api, useSessionQuery } from '../api/api.ts';
import type { State } from './store.ts';

/** What whoever is signed in may do: asked before anything is shown as done. What counts is the server's own answer. */

const roleIn = (state: State) => api.endpoints.session.select()(state).data?.me?.role;

/** Why this change may not be made here; undefined where it may. */
export const rightRefusal = (state: State, method: string, path: string): string | undefined =>
  translateIfAny(whyNot(roleIn(state), rightOf(method, path)));

export const refusalFor = (state: State, right: Right): string | undefined =>
  translateIfAny(whyNot(roleIn(state), right));

/** Why one may not; undefined where one may, or nobody has an account. */
export function useWhyNot(right: Right): string | undefined {
  const { data } = useSessionQuery();
  return translateIfAny(whyNot(data?.me?.role, right));
}

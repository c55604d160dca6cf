import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { api } from '../api/api.ts';

/** Who is at this tablet: picked by a tap, where several use it; else whoever is signed in. */

const KEY = 'long-miter-person';

function kept(): string | undefined {
  try {
    return localStorage.getItem(KEY) ?? undefined;
  } catch {
    return undefined;
  }
}

const slice = createSlice({
  name: 'person',
  initialState: { name: kept() },
  reducers: {
    personPicked(state, { payload }: PayloadAction<string | undefined>) {
      state.name = payload;
      try {
        if (payload === undefined) localStorage.removeItem(KEY);
        else localStorage.setItem(KEY, payload);
      } catch {
        // Until the page is closed it is known all the same.
      }
    },
  },
});

export const personReducer = slice.reducer;
export const { personPicked } = slice.actions;

interface WithPerson {
  readonly person: { readonly name: string | undefined };
}

/** Whose steps are noted here; undefined where nobody has an account. */
export function personHere(state: WithPerson): string | undefined {
  const me = api.endpoints.session.select()(state as never).data?.me;
  return me && (state.person.name ?? me.name);
}

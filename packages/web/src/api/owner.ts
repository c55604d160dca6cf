/** Whose work this browser keeps: drafts and what waits go to the server only under the account they were made with. */

const KEY = 'long-miter-owner';

export interface Owner {
  readonly id: string;
  readonly name: string;
}

export function ownerHere(): Owner | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<Owner> | null;
    return typeof kept?.id === 'string' && typeof kept.name === 'string'
      ? { id: kept.id, name: kept.name }
      : undefined;
  } catch {
    return undefined;
  }
}

export function nowOwnedBy({ id, name }: Owner): void {
  try {
    localStorage.setItem(KEY, JSON.stringify({ id, name }));
  } catch {
    // A browser that keeps nothing keeps nobody's drafts either.
  }
}

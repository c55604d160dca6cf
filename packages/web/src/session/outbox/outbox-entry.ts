/** Form of what is kept; older forms are upgraded in `upgradeKept`. */
export const KEPT_VERSION = 2;

/** A change on its way to the server. */
export interface OutboxEntry {
  readonly seq: number;
  /** Its id, by which the server knows a repeat. */
  readonly id: string;
  readonly v: typeof KEPT_VERSION;
  /** The page that made it. */
  readonly tab: string;
  readonly job: string;
  /** A request as it stands, or a room whose newest state is to be saved. */
  readonly what:
    | {
        readonly kind: 'call';
        readonly method: 'POST' | 'PUT' | 'PATCH' | 'DELETE';
        readonly path: string;
        readonly body?: unknown;
      }
    | { readonly kind: 'room'; readonly room: string };
  /** What it changes, in words: for saying what was refused. */
  readonly label: string;
}

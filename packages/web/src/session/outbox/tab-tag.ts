/** Short and unlike that of any other page: part of the ids of what is added here. */
export const TAB_TAG = `-${Math.random().toString(36).slice(2, 5)}`;

const hex = (bytes: Uint8Array): string =>
  [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** A UUID; made by hand where the page is not served securely and the browser's own is missing. */
export function newId(): string {
  if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const text = hex(bytes);
  return [text.slice(0, 8), text.slice(8, 12), text.slice(12, 16), text.slice(16, 20), text.slice(20)].join(
    '-',
  );
}

function keptIn(storage: () => Storage, key: string): string {
  try {
    const known = storage().getItem(key);
    if (known) return known;
    const made = newId();
    storage().setItem(key, made);
    return made;
  } catch {
    return newId();
  }
}

let tab: string | undefined;
/** This page, also after it was loaded again. */
export const tabId = (): string => (tab ??= keptIn(() => sessionStorage, 'long-miter-tab'));

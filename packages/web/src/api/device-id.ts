/** The id this browser gives itself, so that the crew's records can tell devices apart. */
let device: string | undefined;
export function deviceId(): string {
  if (device !== undefined) return device;
  const made = `d-${Math.random().toString(36).slice(2, 12)}`;
  try {
    device = localStorage.getItem('long-miter-device') ?? made;
    localStorage.setItem('long-miter-device', device);
  } catch {
    device = made;
  }
  return device;
}

let count: number | undefined;
/**
 * The next number of what happens on this device: only ever larger, also after a reload and where the browser has forgotten, as
 * it is never less than the clock.
 */
export function nextDeviceSeq(): number {
  const key = 'long-miter-device-count';
  try {
    count = Math.max(count ?? 0, Number(localStorage.getItem(key) ?? 0));
  } catch {
    count ??= 0;
  }
  count = Math.max(count + 1, Date.now());
  try {
    localStorage.setItem(key, String(count));
  } catch {
    // It goes on from the clock then.
  }
  return count;
}

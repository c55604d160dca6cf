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

import { t } from '../../messages/t.ts';
/** Readings of measuring devices on their way into fields: a field says what it takes, a reading goes to the next that takes it. */

export interface FieldReading {
  readonly text: string;
  readonly what: 'length' | 'angle';
}

const EVENT = 'lm-reading';
const TAKES = 'data-takes';

/**
 * Makes a field take readings.
 * @param take puts the text into the field as if typed, with Enter; false when it is refused
 * @returns what undoes it
 */
export function onReading(
  input: HTMLInputElement,
  kinds: readonly FieldReading['what'][],
  take: (reading: FieldReading) => boolean,
): () => void {
  const listen = (event: Event): void => {
    const { detail } = event as CustomEvent<FieldReading & { taken?: boolean }>;
    detail.taken = take(detail);
  };
  input.setAttribute(TAKES, kinds.join(' '));
  input.addEventListener(EVENT, listen);
  return () => {
    input.removeAttribute(TAKES);
    input.removeEventListener(EVENT, listen);
  };
}

/**
 * Puts a reading into the field one stands in, or the next one in walking order that takes such a reading.
 * @returns the label of the field it went to; undefined when none takes it or it was refused
 */
export function putReading(reading: FieldReading): string | undefined {
  const fields = [...document.querySelectorAll<HTMLInputElement>(`input[${TAKES}]`)];
  const here = Math.max(
    0,
    fields.findIndex((field) => field === document.activeElement),
  );
  const order = [...fields.slice(here), ...fields.slice(0, here)];
  const target = order.find((field) => field.getAttribute(TAKES)!.split(' ').includes(reading.what));
  if (!target) return undefined;
  target.focus();
  const detail: FieldReading & { taken?: boolean } = { ...reading };
  target.dispatchEvent(new CustomEvent(EVENT, { detail }));
  return detail.taken === false ? undefined : (target.getAttribute('aria-label') ?? t('the field'));
}

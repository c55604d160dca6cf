import { message } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';
import type { Unit } from './unit.ts';

/** One reading of a measuring device, as it comes in. */
export interface DeviceReading {
  /** The device's own name: a word. */
  readonly device: string;
  /** Its running number: a line that comes twice has the same one. */
  readonly number: number;
  readonly what: 'length' | 'angle';
  /** Length in the unit it was read in; degrees. */
  readonly value: number;
  readonly unit: 'in' | 'mm' | 'deg';
}

const LINE = /^([\w-]{1,40}) (\d{1,9}) (LEN|ANG) (-?\d{1,9}(?:\.\d{1,6})?) (in|mm|m|deg)$/;

/**
 * Reads one line of the device protocol: `laser-1 17 LEN 3617.4 mm`, `finder-1 4 ANG 134.6 deg`.
 * Issues: not a line of the protocol, a length that is not above 0, an angle out of its range.
 */
export function parseDeviceLine(line: string): Result<DeviceReading> {
  const match = LINE.exec(line.trim());
  if (!match)
    return fail({
      at: '',
      text: message('device.is-no-reading-a-line-is', { value: line.trim().slice(0, 60) }),
    });
  const [, device = '', number = '', word, value = '', unit = ''] = match;
  const figure = Number(value);
  if (word === 'ANG')
    return unit !== 'deg'
      ? fail({ at: '', text: message('device.an-angle-is-in-deg-not', { unit }) })
      : figure > 0 && figure < 360
        ? ok({ device, number: Number(number), what: 'angle', value: figure, unit: 'deg' })
        : fail({ at: '', text: message('device.an-angle-lies-between-0-and', { figure }) });
  if (unit === 'deg') return fail({ at: '', text: message('device.a-length-is-in-in-mm') });
  if (figure <= 0) return fail({ at: '', text: message('device.a-length-is-greater-than-0', { figure }) });
  return ok({
    device,
    number: Number(number),
    what: 'length',
    value: unit === 'm' ? Number((figure * 1000).toFixed(6)) : figure,
    unit: unit === 'in' ? 'in' : 'mm',
  });
}

/**
 * A device's reading as one would type it in a field of a job's unit: the figure itself, with its unit where that is
 * another.
 */
export function textOfReading({ what, value, unit }: DeviceReading, jobUnit: Unit): string {
  if (what === 'angle' || unit === jobUnit) return String(value);
  return `${value} ${unit}`;
}

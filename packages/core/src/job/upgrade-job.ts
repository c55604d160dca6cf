/**
 * Job files of earlier versions, brought to today's. Works on unchecked JSON: whatever does not look as expected is left
 * for the check, which names it by its pointer.
 */

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly unknown[] | undefined => (Array.isArray(value) ? value : undefined);

/** The newest version, the one that is written. */
export const JOB_VERSION = 2;

const SAW_ID = 'saw';

/** One figure for calibration counts on both sides; one fineness for both scales. */
function sawOfFirst(saw: Fields): Fields {
  const { calibration, fineness, ...rest } = saw;
  return {
    id: SAW_ID,
    ...rest,
    ...(calibration === undefined
      ? {}
      : {
          calibration:
            typeof calibration === 'number' ? { left: calibration, right: calibration } : calibration,
        }),
    ...(fineness === undefined
      ? {}
      : { fineness: typeof fineness === 'number' ? { miter: fineness, bevel: fineness } : fineness }),
  };
}

/**
 * Version 1 to 2: one saw becomes a list of saws with the one in use; without a margin and with its heads
 * cut from the figures it was planned, and so it stays.
 */
function fromFirst(file: Fields): Fields {
  const { saw, houseRules: rules, ...rest } = file;
  return {
    ...rest,
    version: JOB_VERSION,
    ...(rules === undefined || isFields(rules)
      ? { houseRules: { cutMargin: 0, headMode: 'pre-cut', ...rules } }
      : { houseRules: rules }),
    ...(isFields(saw) ? { saws: [sawOfFirst(saw)], saw: SAW_ID } : saw === undefined ? {} : { saw }),
  };
}

/** A corner that names the reading in use need not repeat it. */
function readingInUse(corner: Fields): Fields {
  const readings = listOf(corner['readings']);
  if ('reading' in corner || readings === undefined || readings.length === 0) return corner;
  const use = corner['use'] ?? readings.length - 1;
  const used = typeof use === 'number' ? readings[use] : undefined;
  return isFields(used) ? { ...corner, use, reading: used['reading'] } : corner;
}

/** Ids for the lines of stock and rack that have none: a number not used by another. */
function withIds(list: readonly unknown[], letter: string): unknown[] {
  const taken = new Set(
    list.flatMap((one) => (isFields(one) && typeof one['id'] === 'string' ? [one['id']] : [])),
  );
  let next = 1;
  return list.map((one) => {
    if (!isFields(one) || 'id' in one) return one;
    while (taken.has(letter + String(next))) next++;
    return { id: letter + String(next++), ...one };
  });
}

function completed(file: Fields): Fields {
  const stock = listOf(file['stock']);
  const rack = listOf(file['rack']);
  const rooms = listOf(file['rooms']);
  return {
    ...file,
    ...(stock === undefined ? {} : { stock: withIds(stock, 's') }),
    ...(rack === undefined ? {} : { rack: withIds(rack, 'r') }),
    ...(rooms === undefined
      ? {}
      : {
          rooms: rooms.map((room) => {
            const walls = isFields(room) ? listOf(room['walls']) : undefined;
            if (!isFields(room) || walls === undefined) return room;
            return {
              ...room,
              walls: walls.map((wall) =>
                isFields(wall) && isFields(wall['corner'])
                  ? { ...wall, corner: readingInUse(wall['corner']) }
                  : wall,
              ),
            };
          }),
        }),
  };
}

/**
 * Brings a job file of any version to today's form; what is no job file at all is answered as it came.
 * @example upgradeJob({ format: 'longmiter-job', version: 1, saw: {…}, … }) // { …, version: 2, saws: [{ id: 'saw', … }], saw: 'saw' }
 */
export function upgradeJob(value: unknown): unknown {
  if (!isFields(value)) return value;
  return completed(value['version'] === 1 ? fromFirst(value) : value);
}

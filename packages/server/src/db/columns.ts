/** A JSON column as a value, whether the driver has parsed it already or not. */
export const fromJson = <T>(column: unknown): T =>
  typeof column === 'string' ? (JSON.parse(column) as T) : (column as T);

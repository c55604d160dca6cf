/** A size in the table: what it takes in cells, what one of it is worth, and the most that may be taken. */
export interface TableRow {
  readonly cells: number;
  readonly worth: number;
  readonly copies: number;
}

/** A pattern that may be read from the table: the stick group, the row it begins with, and what it gains. */
export interface TableStart {
  readonly group: number;
  readonly row: number;
  readonly cell: number;
  readonly above: number;
  /** By what share of `above` it exceeds that at the most. */
  readonly gain: number;
}

/** A row that is taken, and how often. */
export interface TableChoice {
  readonly row: number;
  readonly times: number;
}

const TINY = 1e-9;
/** By how much of itself a sum may differ with the order in which it was added. */
const NOISE = 1e-9;

/**
 * Whole cells in a length. Lengths are multiples of half a unit, so what is a whole number of cells but for the noise of the division
 * is one: rounded down it would take room from sticks, or pieces from the table, that are there.
 * @param most length that is counted in so many cells
 */
export const cellsOfStick = (length: number, most: number, cells: number): number =>
  Math.floor((length * cells) / most + NOISE);

/** What the most valuable choice of sizes comes to for every number of cells: the bounded knapsack over relaxed sizes. */
export class ValueTable {
  /** figures[row * width + c]: the most value of rows `row`, `row` + 1, … in c cells. */
  figures = new Float64Array(0);
  readonly width: number;
  private rows: readonly TableRow[] = [];

  private readonly cells: number;

  /** @param cells that the longest stick is counted in */
  constructor(cells: number) {
    this.cells = cells;
    this.width = cells + 1;
  }

  /** Makes it anew for some sizes, in their order. */
  fill(rows: readonly TableRow[]): void {
    this.rows = rows;
    const { width } = this;
    if (this.figures.length < (rows.length + 1) * width)
      this.figures = new Float64Array((rows.length + 1) * width);
    const { figures } = this;
    figures.fill(0, rows.length * width, (rows.length + 1) * width);
    for (let row = rows.length - 1; row >= 0; row--) {
      const { cells, worth, copies } = rows[row]!;
      const at = row * width;
      const under = at + width;
      const most = Math.min(copies, Math.floor(this.cells / Math.max(1, cells)));
      if (most < 1 || cells > this.cells) {
        figures.copyWithin(at, under, under + width);
        continue;
      }
      // One pass for the first copy, which for most sizes is the only one.
      for (let c = 0; c < cells; c++) figures[at + c] = figures[under + c]!;
      for (let c = cells; c < width; c++) {
        const without = figures[under + c]!;
        const taken = figures[under + c - cells]! + worth;
        figures[at + c] = taken > without ? taken : without;
      }
      for (let copy = 1; copy < most; copy++)
        for (let c = width - 1; c >= cells; c--) {
          const taken = figures[at + c - cells]! + worth;
          if (taken > figures[at + c]!) figures[at + c] = taken;
        }
    }
  }

  /** The most value of all rows in so many cells. */
  most(cell: number): number {
    return this.figures[cell]!;
  }

  /** For each group and row the pattern that begins with the row, where it exceeds what it has to; most gain for it first. */
  beginnings(
    groups: readonly { readonly index: number; readonly above: number; readonly cell: number }[],
    least: number,
    allows: (group: number, row: number) => boolean = () => true,
  ): TableStart[] {
    const { rows, figures, width } = this;
    const found: TableStart[] = [];
    for (const { index, above, cell } of groups)
      rows.forEach(({ cells, worth, copies }, row) => {
        if (cells > cell || !allows(index, row)) return;
        const under = copies > 1 ? row : row + 1;
        const gain = worth + figures[under * width + cell - cells]! - above;
        if (gain > least) found.push({ group: index, row, cell, above, gain: gain / Math.max(TINY, above) });
      });
    return found.sort((a, b) => b.gain - a.gain || a.group - b.group || a.row - b.row);
  }

  /** What the table takes beside one of the row that a pattern begins with, where that one has so many cells less. */
  read({ row, cell }: TableStart, less = 0): TableChoice[] {
    const { cells, copies } = this.rows[row]!;
    return this.readFrom(copies > 1 ? row : row + 1, cell - cells - less, new Map([[row, 1]]));
  }

  /** What the table takes from a row on in so many cells, and what is taken already. */
  readFrom(from: number, cell: number, taken = new Map<number, number>()): TableChoice[] {
    const { figures, rows, width } = this;
    let room = cell;
    let row = from;
    while (row < rows.length && room >= 0) {
      const value = figures[row * width + room]!;
      if (value <= TINY) break;
      // Values do not rise from row to row: the last row with this one is where the next size is taken.
      let [low, high] = [row, rows.length];
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (figures[middle * width + room]! >= value) low = middle;
        else high = middle;
      }
      const { cells, worth, copies } = rows[low]!;
      const under = (low + 1) * width;
      let times = 0;
      for (let k = 1; k <= copies && k * cells <= room; k++)
        if (Math.abs(figures[under + room - k * cells]! + k * worth - value) < NOISE * value) times = k;
      if (times > 0) taken.set(low, Math.min(copies, (taken.get(low) ?? 0) + times));
      room -= times * cells;
      row = low + 1;
    }
    return [...taken].map(([one, times]) => ({ row: one, times }));
  }
}

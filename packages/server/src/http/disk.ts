import { statfs } from 'node:fs/promises';

/** Whether there is room left on the disk that the data lies on: a database that runs full can lose what it is just writing. */

const EVERY = 5_000;
/** Below this nothing is changed any more; reading goes on. */
const LEAST = 200 * 1024 * 1024;

export class Disk {
  private free = Infinity;
  private looked = 0;
  private readonly folder: string | undefined;
  private readonly least: number;

  /**
   * @param folder undefined where the database lies elsewhere: then it says itself when it is full
   * @param least bytes that stay free
   */
  constructor(folder?: string, least = LEAST) {
    this.folder = folder;
    this.least = least;
  }

  /** Looks at most every few seconds; a folder that cannot be looked at is taken for roomy. */
  async isLow(now = Date.now()): Promise<boolean> {
    if (this.folder !== undefined && now - this.looked >= EVERY) {
      this.looked = now;
      const { bavail, bsize } = await statfs(this.folder).catch(() => ({ bavail: Infinity, bsize: 1 }));
      this.free = Number(bavail) * Number(bsize);
    }
    return this.free < this.least;
  }
}

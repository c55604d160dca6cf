import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

/** One process at a time: two commands on a fresh clone must not install over each other. */

const wait = (ms) => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);

const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
};

/** Whether the lock is held by nobody: its process is gone, or it never got to write who it is. */
function isLeft(path, sinceEmpty) {
  try {
    const pid = Number(readFileSync(`${path}/pid`, 'utf8'));
    return Number.isInteger(pid) && pid > 0 ? !alive(pid) : sinceEmpty > 5000;
  } catch {
    return sinceEmpty > 5000;
  }
}

/** Does something while holding a lock, a folder. A lock whose holder was killed is taken over. */
export function withLock(path, what, job) {
  mkdirSync(dirname(path), { recursive: true });
  let told = false;
  let empty = 0;
  for (;;) {
    try {
      mkdirSync(path);
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    if (isLeft(path, empty)) {
      // Moved aside first: of two that find it left only one gets it.
      const aside = `${path}.left-${process.pid}`;
      try {
        renameSync(path, aside);
        rmSync(aside, { recursive: true, force: true });
      } catch {
        // The other one was quicker.
      }
      continue;
    }
    if (!told) process.stderr.write(`Another command is ${what}; waiting for it…\n`);
    told = true;
    wait(200);
    empty += 200;
  }
  try {
    writeFileSync(`${path}/pid`, String(process.pid));
    return job();
  } finally {
    rmSync(path, { recursive: true, force: true });
  }
}

import { plainText } from '@long-miter/core';
import type { Issue } from '@long-miter/core';

/** Ends a headless command with exit code 2 and one line per fault on standard error; standard output stays empty. */
export function endRefused(issues: readonly Issue[]): never {
  process.stderr.write(issues.map((issue) => `${issue.at}: ${plainText(issue.text)}\n`).join(''));
  process.exit(2);
}

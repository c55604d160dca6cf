import { rmSync } from 'node:fs';

export default async function stopDatabase() {
  await globalThis.longMiterTestDatabase.stop();
  rmSync(process.env.LONGMITER_TEST_FOLDER, { recursive: true, force: true });
}

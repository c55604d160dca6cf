import { expect, test } from '@jest/globals';
import { checkJobFile, closeRoom, closesWell, layOutJob, plainText } from '@long-miter/core';
import { fernhollow } from '../src/demo/fernhollow.ts';
import { gableRow } from '../src/demo/gable-row.ts';
import { quayStreet } from '../src/demo/quay-street.ts';

test.each([fernhollow, quayStreet, gableRow])(
  '$name is a good job: every room closes and can be laid out',
  (demo) => {
    const job = checkJobFile(demo);
    if (!job.ok) throw new Error(job.issues.map((one) => `${one.at} ${plainText(one.text)}`).join('; '));
    for (const room of job.value.rooms) {
      const closure = closeRoom(room);
      expect([room.name, closure ? closesWell(closure) : true]).toEqual([room.name, true]);
    }
    const laid = layOutJob(job.value);
    expect(JSON.stringify(laid).length).toBeGreaterThan(100);
  },
);

import { expect, test } from '@jest/globals';
import { writeToCluster } from './lib/cluster.mjs';
import { ensureGalera } from './lib/galera.mjs';

/** Short form of `npm run proof:cluster`, where the packages of a cluster can be installed. */
(ensureGalera() ? test : test.skip)(
  'two servers on two nodes of a cluster: what is acknowledged is there once, in one order, on both',
  async () => {
    const { failures, written } = await writeToCluster({ nodes: 2, clients: 8, seconds: 4, kill: false });
    expect(failures).toEqual([]);
    expect(written).toBeGreaterThan(40);
  },
  150_000,
);

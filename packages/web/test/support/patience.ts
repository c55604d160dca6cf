import { configure } from '@testing-library/react';

/** How long something may take to appear: what is waited for is the point of a test, not how fast this machine is. */
configure({ asyncUtilTimeout: 15_000 });

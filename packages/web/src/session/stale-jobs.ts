/** Jobs of which something was told while one's own changes were on their way: loaded again once those have arrived. */
export const staleJobs = new Set<string>();

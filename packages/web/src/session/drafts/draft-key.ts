import { joinKey } from '@long-miter/core';

/** Names a room among the rooms of all jobs: two jobs may have a room of one id, as copies of one file do. */
export const draftKey = (job: string, room: string): string => joinKey(job, room);

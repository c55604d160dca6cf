import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { nextIssue } from '@long-miter/core';
import { highsSolver } from '@long-miter/optimiser/highs';
import type { LeftMessage, LeftRequest } from './remaining-messages.ts';
import { defineMessage } from '../messages/define-message.ts';

/** Plans what is left to cut off the page's own thread. Cancelled by ending the worker. */

const send = (message: LeftMessage): void => postMessage(message);

async function plan({ log, plan: asked, rooms, seconds }: LeftRequest): Promise<LeftMessage> {
  const highs = await loadHighs({ locateFile: () => wasmUrl });
  const clock = (): number => performance.now() / 1000;
  return {
    kind: 'next',
    next: nextIssue(log, asked, new Set(rooms), { solver: highsSolver(highs), seconds, clock }),
  };
}

self.onmessage = ({ data }: MessageEvent<LeftRequest>) => {
  plan(data).then(send, (error: unknown) => {
    console.error(error);
    send({ kind: 'failed', text: defineMessage('the sticks could not be worked out; load the page again') });
  });
};

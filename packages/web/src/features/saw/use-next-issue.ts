import { useEffect, useState } from 'react';
import type { JobFile, LoggedPlan, NextIssue } from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import type { LeftMessage, LeftRequest } from '../../workers/remaining-messages.ts';
import { t } from '../../messages/t.ts';

/** Most seconds for each profile while somebody waits for it. */
const SECONDS = 5;

interface Next {
  readonly next: NextIssue | undefined;
  readonly working: boolean;
  readonly fault: string | undefined;
}

/**
 * The plan of another trip, worked out around what is opened, in a worker; while nothing was given before there is none to work
 * out.
 */
export function useNextIssue(
  file: JobFile,
  session: ShopSession,
  plan: LoggedPlan,
  rooms: ReadonlySet<string>,
): Next {
  const [state, setState] = useState<Next>({ next: undefined, working: true, fault: undefined });
  const { log } = session;
  const again = (log?.issues.length ?? 0) > 0;
  const key = [...rooms].sort().join('\n');
  useEffect(() => {
    if (!log || !again) return;
    setState({ next: undefined, working: true, fault: undefined });
    const worker = new Worker(new URL('../../workers/remaining.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = ({ data }: MessageEvent<LeftMessage>) => {
      worker.terminate();
      setState(
        data.kind === 'next'
          ? { next: data.next, working: false, fault: undefined }
          : { next: undefined, working: false, fault: t(data.text) },
      );
    };
    worker.onerror = () =>
      setState({
        next: undefined,
        working: false,
        fault: t('the sticks could not be worked out; load the page again'),
      });
    const request: LeftRequest = {
      log: { job: file, issues: log.issues, events: log.events },
      plan,
      rooms: key.split('\n'),
      seconds: SECONDS,
    };
    worker.postMessage(request);
    return () => worker.terminate();
    // What happens meanwhile on other devices makes it anew.
  }, [file, log, again, plan, key]);
  return again ? state : { next: undefined, working: false, fault: undefined };
}

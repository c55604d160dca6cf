import { notifications } from '@mantine/notifications';
import type { Issue } from '@long-miter/core';
import { t, translate } from '../../messages/t.ts';

/** Lets the browser save a text as a file. */
export const saveFile = (name: string, text: string, type: string): void =>
  saveBlob(name, new Blob([text], { type }));

/** Lets the browser save what was made for it. */
export function saveBlob(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A name as a file may have it. */
export const fileName = (name: string): string =>
  name
    .replace(/[^a-z0-9]+/gi, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'job';

/** Says why a file was not taken, a line for each fault. */
export const refuseFile = (name: string, issues: readonly Issue[]): void =>
  void notifications.show({
    color: 'red',
    autoClose: false,
    title: t('{name} was not taken in', { name }),
    message: issues
      .slice(0, 6)
      .map((issue) => `${issue.at ? `${issue.at}: ` : ''}${translate(issue.text)}`)
      .join('\n'),
    style: { whiteSpace: 'pre-line' },
  });

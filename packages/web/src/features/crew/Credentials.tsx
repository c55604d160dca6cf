import { Button, PasswordInput, Stack, Text, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import type { ApiError } from '../../api/api.ts';
import { t } from '../../messages/t.ts';

/** What this device is called in the list of one's devices: browser and system, as far as it says. */
export const deviceName = (): string => {
  const agent = navigator.userAgent;
  const system = /Android|iPhone|iPad|Windows|Macintosh|Linux/.exec(agent)?.[0] ?? t('device');
  const browser = /Firefox|Edg|Chrome|Safari/.exec(agent)?.[0] ?? t('browser');
  return t('{browser} on {system}', { browser: browser === 'Edg' ? 'Edge' : browser, system });
};

interface Props {
  readonly action: string;
  /** A new password is asked for, with what it must be. */
  readonly fresh: boolean;
  readonly busy: boolean;
  readonly error: ApiError | undefined;
  readonly onSend: (name: string, password: string) => void;
  /** Further fields above them. */
  readonly children?: ReactNode;
}

/** A name and a password; what is wrong is said at its field, what was typed stays. */
export function Credentials({ action, fresh, busy, error, onSend, children }: Props) {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const at = (field: string): string | undefined => error?.issues.find((one) => one.at === field)?.text;
  const elsewhere = error && !['/name', '/password', '/code'].some((field) => at(field)) ? error : undefined;
  const send = (event: FormEvent): void => {
    event.preventDefault();
    onSend(name, password);
  };
  return (
    <form onSubmit={send}>
      <Stack gap={12} maw={420}>
        {children}
        <TextInput
          size="md"
          label={t('your name')}
          autoComplete="username"
          value={name}
          error={at('/name')}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <PasswordInput
          size="md"
          label={t('password')}
          {...(fresh
            ? { description: t('at least 10 characters; a sentence is easier to keep than a riddle') }
            : {})}
          autoComplete={fresh ? 'new-password' : 'current-password'}
          visibilityToggleButtonProps={{ 'aria-label': t('Show the password') }}
          value={password}
          error={at('/password')}
          onChange={(event) => setPassword(event.currentTarget.value)}
        />
        {elsewhere && (
          <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
            ▲ {elsewhere.issues[0]?.text ?? elsewhere.detail}
          </Text>
        )}
        <Button type="submit" size="md" loading={busy} disabled={name.trim() === '' || password === ''}>
          {action}
        </Button>
      </Stack>
    </form>
  );
}

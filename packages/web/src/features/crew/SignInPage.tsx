import { Text, Title } from '@mantine/core';
import { errorOf, useSignInMutation } from '../../api/api.ts';
import { Credentials, deviceName } from './Credentials.tsx';
import { t } from '../../messages/t.ts';

/** Shown on every address while nobody is signed in. */
export function SignInPage() {
  const [signIn, { isLoading, error }] = useSignInMutation();
  return (
    <main style={{ maxWidth: 480, margin: '0 auto', padding: '48px 18px' }}>
      <Title order={1} size="h2">
        {t('Long Miter')}
      </Title>
      <Text mb={18}>{t('Sign in. Whoever has no account asks the lead for an invitation.')}</Text>
      <Credentials
        action={t('Sign in')}
        fresh={false}
        busy={isLoading}
        error={error && errorOf(error)}
        onSend={(name, password) => void signIn({ name, password, device: deviceName() })}
      />
    </main>
  );
}

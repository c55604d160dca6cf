import { Text, Title } from '@mantine/core';
import { useNavigate, useParams } from 'react-router';
import { errorOf, useJoinCrewMutation } from '../../api/api.ts';
import { Credentials, deviceName } from './Credentials.tsx';
import { t } from '../../messages/t.ts';

/** Where an invitation leads: a name and a password of one's own. */
export function JoinPage() {
  const { token = '' } = useParams();
  const navigate = useNavigate();
  const [join, { isLoading, error }] = useJoinCrewMutation();
  return (
    <main style={{ maxWidth: 480, margin: '0 auto', padding: '48px 18px' }}>
      <Title order={1} size="h2">
        {t('You are invited to the crew')}
      </Title>
      <Text mb={18}>
        {t(
          'The lead has invited you. Take the name you go by and a password of your own: the invitation works once.',
        )}
      </Text>
      <Credentials
        action={t('Join')}
        fresh
        busy={isLoading}
        error={error && errorOf(error)}
        onSend={(name, password) =>
          void join({ token, name, password, device: deviceName() }).then(
            (sent) => sent.error === undefined && navigate('/', { replace: true }),
          )
        }
      />
    </main>
  );
}

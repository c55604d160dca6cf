import { Button, Group, Modal, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import type { CrewRole } from '@long-miter/core';
import { errorOf, useInviteMutation, useSessionQuery } from '../../api/api.ts';
import { Qr } from '../../shared/Qr.tsx';
import { roleWord } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

interface Props {
  readonly opened: boolean;
  readonly onClose: () => void;
}

/** Addresses that only the machine itself can open. */
const ONLY_HERE = /^(localhost|127\.|\[?::1)/;

/** How many days an invitation made at the screen is good for: it is scanned at once. */
const DAYS = 1;

/** A code that brings this screen to a phone, and for the lead, one that brings somebody new in. */
export function PhoneCode({ opened, onClose }: Props) {
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title={<Text fw={650}>{t('On a phone')}</Text>}
      closeButtonProps={{ 'aria-label': t('Close') }}
    >
      {opened && <Inside />}
    </Modal>
  );
}

function Inside() {
  const { data: session } = useSessionQuery();
  const here = window.location;
  const lead = session?.me?.role === 'lead';
  if (ONLY_HERE.test(here.hostname))
    return (
      <Text>
        {t(
          '{host} is an address that only this machine can open. Whoever starts Long Miter here gives it the network with LONGMITER_HOST=0.0.0.0; opened then by the machine’s own address, this shows the code for a phone.',
          { host: here.host },
        )}
      </Text>
    );
  if (!session?.me)
    return (
      <Stack>
        <Text>
          {t(
            'Phones come in by an account. The lead makes the first one; then the crew is invited by a code.',
          )}
        </Text>
        <Button component={Link} to="/crew">
          {t('Crew')}
        </Button>
      </Stack>
    );
  return (
    <Stack>
      <Group wrap="nowrap" align="flex-start">
        <Qr text={here.href} size="150px" />
        <Text>
          {t(
            'For somebody of the crew who is signed in on the phone: the camera opens this very screen there.',
          )}
        </Text>
      </Group>
      {lead && <Invite />}
    </Stack>
  );
}

function Invite() {
  const [invite, { isLoading }] = useInviteMutation();
  const [made, setMade] = useState<{ readonly link: string; readonly role: CrewRole }>();
  const [fault, setFault] = useState<string>();
  const ask = async (role: CrewRole): Promise<void> => {
    const sent = await invite({ role, days: DAYS });
    setFault(sent.error ? errorOf(sent.error).detail : undefined);
    if (sent.data) setMade({ link: `${window.location.origin}/join/${sent.data.token}`, role });
  };
  return (
    <>
      <Text fw={650}>{t('Somebody new')}</Text>
      <Group gap={8}>
        {(['cutter', 'hanger', 'measurer'] as const).map((role) => (
          <Button key={role} variant="default" loading={isLoading} onClick={() => void ask(role)}>
            {t('Invite a {role}', { role: roleWord(role) })}
          </Button>
        ))}
      </Group>
      {fault && (
        <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
          {fault}
        </Text>
      )}
      {made && (
        <Group wrap="nowrap" align="flex-start" role="status">
          <Qr text={made.link} size="150px" />
          <Text>
            {t(
              'For one {role}, once, today: have it scanned, and a name and a password are asked for on the phone.',
              { role: roleWord(made.role) },
            )}
          </Text>
        </Group>
      )}
    </>
  );
}

import {
  Button,
  Group,
  NativeSelect,
  NumberInput,
  Stack,
  Table,
  Text,
  TextInput,
  Title,
} from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import { Link } from 'react-router';
import { CREW_ROLES, type CrewRole, type Me } from '@long-miter/core';
import {
  errorOf,
  useChangeMemberMutation,
  useDevicesQuery,
  useEndDeviceMutation,
  useFirstAccountMutation,
  useInviteMutation,
  useJobsQuery,
  useMembersQuery,
  useRemoveMemberMutation,
  useSessionQuery,
} from '../../api/api.ts';
import { Qr } from '../../shared/Qr.tsx';
import { Credentials, deviceName } from './Credentials.tsx';
import { useTitle } from '../../shared/hooks/use-title.ts';
import { BackupPanel } from './BackupPanel.tsx';
import { Programs } from './Programs.tsx';
import { SignOut } from './SignOut.tsx';
import { dayText } from '../../messages/days.ts';
import { language } from '../../messages/language.ts';
import { choices, roleDoes, roleWord } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

const moment = (at: string): string =>
  new Date(at).toLocaleString(language, { dateStyle: 'medium', timeStyle: 'short' });
const say = (result: { error?: unknown }): void => {
  if (result.error !== undefined) notifications.show({ color: 'red', message: errorOf(result.error).detail });
};

/** The crew: who belongs to it and what each may do, invitations, and where one is signed in oneself. */
export function CrewPage() {
  const { data: session } = useSessionQuery();
  useTitle(t('Crew'));
  return (
    <div className="frame">
      <header>
        <div className="bar">
          <Link to="/" aria-label={t('All jobs')} title={t('All jobs')} className="back">
            ‹
          </Link>
          <h1 className="bar-title">{t('Crew')}</h1>
          {session?.me && (
            <Group gap={12} ml="auto">
              <Text>
                {session.me.name}, {roleWord(session.me.role)}
              </Text>
              <SignOut />
            </Group>
          )}
        </div>
      </header>
      <main className="work" style={{ display: 'block' }}>
        <Stack gap={16} maw={980}>
          {session?.open && <First />}
          {session?.me?.role === 'lead' && <Members me={session.me} />}
          {session?.me?.role === 'lead' && <Invite />}
          {session?.me && <Devices />}
          {session?.me && session.me.role !== 'guest' && <Programs me={session.me} />}
          {(session?.open || session?.me?.role === 'lead') && (
            <Text>
              <Link to="/changes">{t('Who changed what')}</Link>
              {t(': every figure, role and order, by whom and from which device.')}
            </Text>
          )}
          {(session?.open || session?.me?.role === 'lead') && <BackupPanel />}
        </Stack>
      </main>
    </div>
  );
}

/** Nobody has an account yet: the lead makes the first one. */
function First() {
  const [first, { isLoading, error }] = useFirstAccountMutation();
  const [code, setCode] = useState('');
  const wrong = error && errorOf(error);
  return (
    <section className="panel" style={{ padding: 16 }} aria-label={t('The first account')}>
      <Title order={2} size="h4">
        {t('Nobody has an account yet')}
      </Title>
      <Text mb={12}>
        {t(
          'So far everything is open to whoever sits at this machine, and to nobody else. The first account is the lead’s; from then on everybody signs in, and others come in by invitation. The code stands on the terminal where Long Miter was started.',
        )}
      </Text>
      <Credentials
        action={t('Make the lead’s account')}
        fresh
        busy={isLoading}
        error={wrong}
        onSend={(name, password) => void first({ code, name, password, device: deviceName() })}
      >
        <TextInput
          size="md"
          label={t('code on the terminal')}
          autoComplete="off"
          value={code}
          error={wrong?.issues.find((one) => one.at === '/code')?.text}
          onChange={(event) => setCode(event.currentTarget.value)}
        />
      </Credentials>
    </section>
  );
}

function Members({ me }: { me: Me }) {
  const { data: members = [] } = useMembersQuery();
  const { data: jobs = [] } = useJobsQuery();
  const [change] = useChangeMemberMutation();
  const [remove] = useRemoveMemberMutation();
  const [asked, setAsked] = useState<string>();
  return (
    <section className="panel" style={{ padding: 16 }} aria-label={t('People')}>
      <Title order={2} size="h4">
        {t('People')}
      </Title>
      <Table verticalSpacing={6}>
        <Table.Tbody>
          {members.map((one) => (
            <Table.Tr key={one.id}>
              <Table.Td fw={650}>
                {one.name}
                {one.id === me.id ? t(' (you)') : ''}
              </Table.Td>
              <Table.Td w={170}>
                {one.role === 'guest' ? (
                  roleWord('guest')
                ) : (
                  <NativeSelect
                    aria-label={t('Role of {name}', { name: one.name })}
                    value={one.role}
                    data={choices(
                      CREW_ROLES.filter((role) => role !== 'guest'),
                      roleWord,
                    )}
                    onChange={(event) =>
                      void change({ id: one.id, role: event.currentTarget.value as CrewRole }).then(say)
                    }
                  />
                )}
              </Table.Td>
              <Table.Td>
                {one.job === undefined
                  ? roleDoes(one.role)
                  : t('reads {name}{expires}', {
                      name: jobs.find((job) => job.id === one.job)?.name ?? t('one job'),
                      expires: one.expires ? t(' until {expires}', { expires: dayText(one.expires) }) : '',
                    })}
              </Table.Td>
              <Table.Td w={230} style={{ textAlign: 'right' }}>
                {asked === one.id ? (
                  <Group gap={6} justify="flex-end" wrap="nowrap">
                    <Button
                      size="compact-md"
                      color="red"
                      onClick={() => {
                        setAsked(undefined);
                        void remove(one.id).then(say);
                      }}
                    >
                      {t('Take {name} out', { name: one.name })}
                    </Button>
                    <Button size="compact-md" variant="default" onClick={() => setAsked(undefined)}>
                      {t('No')}
                    </Button>
                  </Group>
                ) : (
                  <Button
                    size="compact-md"
                    variant="default"
                    aria-label={t('Remove {name}', { name: one.name })}
                    onClick={() => setAsked(one.id)}
                  >
                    {t('Remove')}
                  </Button>
                )}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </section>
  );
}

function Invite() {
  const { data: jobs = [] } = useJobsQuery();
  const [invite, { isLoading }] = useInviteMutation();
  const [role, setRole] = useState<CrewRole>('cutter');
  const [job, setJob] = useState('');
  const [days, setDays] = useState(7);
  const [made, setMade] = useState<{ link: string; expires: string; role: CrewRole }>();
  const chosen = job || jobs[0]?.id;
  return (
    <section className="panel" style={{ padding: 16 }} aria-label={t('Invite somebody')}>
      <Title order={2} size="h4">
        {t('Invite somebody')}
      </Title>
      <Group gap={12} align="flex-end" mt={6}>
        <NativeSelect
          label={t('as')}
          value={role}
          data={choices(CREW_ROLES, roleWord)}
          onChange={(event) => setRole(event.currentTarget.value as CrewRole)}
        />
        {role === 'guest' && (
          <NativeSelect
            label={t('to')}
            value={chosen ?? ''}
            data={jobs.map((one) => ({ value: one.id, label: one.name }))}
            onChange={(event) => setJob(event.currentTarget.value)}
          />
        )}
        <NumberInput
          label={t('good for days')}
          w={120}
          min={1}
          max={90}
          value={days}
          onChange={(value) => setDays(Number(value) || 7)}
        />
        <Button
          loading={isLoading}
          disabled={role === 'guest' && chosen === undefined}
          onClick={() =>
            void invite({
              role,
              days,
              ...(role === 'guest' && chosen !== undefined ? { job: chosen } : {}),
            }).then((sent) => {
              say(sent);
              if (sent.data)
                setMade({
                  link: `${window.location.origin}/join/${sent.data.token}`,
                  expires: sent.data.expires,
                  role,
                });
            })
          }
        >
          {t('Make an invitation')}
        </Button>
      </Group>
      <Text size="sm" mt={6}>
        {t('A {role} {does}.', { role: roleWord(role), does: roleDoes(role) })}
      </Text>
      {made && (
        <Group mt={12} gap={16} wrap="nowrap" align="flex-start">
          <Qr text={made.link} size="150px" />
          <Stack gap={4}>
            <Text>
              {t('For one {role}, once, until {expires}. Have it scanned, or send the link:', {
                role: roleWord(made.role),
                expires: dayText(made.expires),
              })}
            </Text>
            <Text style={{ overflowWrap: 'anywhere' }} ff="monospace">
              {made.link}
            </Text>
            <Text size="sm" c="dimmed">
              {t('It is shown only now.')}
            </Text>
          </Stack>
        </Group>
      )}
    </section>
  );
}

function Devices() {
  const { data: devices = [] } = useDevicesQuery();
  const [end] = useEndDeviceMutation();
  return (
    <section className="panel" style={{ padding: 16 }} aria-label={t('Where you are signed in')}>
      <Title order={2} size="h4">
        {t('Where you are signed in')}
      </Title>
      <Table verticalSpacing={6}>
        <Table.Tbody>
          {devices.map((one) => (
            <Table.Tr key={one.id}>
              <Table.Td fw={one.here ? 650 : 400}>
                {one.device || t('unnamed device')}
                {one.here ? t(' (here)') : ''}
              </Table.Td>
              <Table.Td>{t('last seen {moment}', { moment: moment(one.seenAt) })}</Table.Td>
              <Table.Td style={{ textAlign: 'right' }}>
                {!one.here && (
                  <Button
                    size="compact-md"
                    variant="default"
                    aria-label={t('End the session on {device}', { device: one.device })}
                    onClick={() => void end(one.id).then(say)}
                  >
                    {t('End it')}
                  </Button>
                )}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </section>
  );
}

import { ActionIcon, Button, Menu, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { IconChevronDown, IconDots } from '@tabler/icons-react';
import { Link } from 'react-router';
import { FILES, OPENINGS, STAGES, type Stage } from './stages.ts';
import { t } from '../../messages/t.ts';

interface StageProps {
  readonly stage: Stage;
  readonly to: (stage: string) => string;
  readonly bench: string;
}

/** The stages on a phone: the one shown, and the others a tap away, so that the head takes one row. */
export function StageMenu({ stage, to, bench }: StageProps) {
  const here = stage === OPENINGS ? 'walk' : stage;
  const label = STAGES.find((one) => one.key === here)?.label ?? t('Stages');
  return (
    <Menu position="bottom-start" withinPortal>
      <Menu.Target>
        <Button
          h={44}
          px={12}
          rightSection={<IconChevronDown size={16} />}
          aria-label={t('Stages: {label}', { label })}
        >
          {label}
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        {STAGES.map((one) => (
          <Menu.Item
            key={one.key}
            component={Link}
            to={to(one.key)}
            mih={46}
            fz="lg"
            fw={one.key === here ? 700 : 400}
            aria-current={one.key === here ? 'page' : undefined}
          >
            {one.label}
          </Menu.Item>
        ))}
        <Menu.Divider />
        <Menu.Item component={Link} to={bench} mih={46} fz="lg">
          {t('Bench')}
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}

interface Props {
  readonly jobId: string;
  readonly onSetup: () => void;
  readonly onHelp: () => void;
}

/** What else there is of a job, on a phone. */
export function MoreMenu({ jobId, onSetup, onHelp }: Props) {
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme('light');
  return (
    <Menu position="bottom-end" withinPortal>
      <Menu.Target>
        <ActionIcon size={44} variant="default" aria-label={t('More of this job')}>
          <IconDots size={20} />
        </ActionIcon>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item component={Link} to={`/jobs/${jobId}/rooms`} mih={46}>
          {t('All rooms')}
        </Menu.Item>
        <Menu.Item component={Link} to={`/jobs/${jobId}/${FILES}`} mih={46}>
          {t('Files')}
        </Menu.Item>
        <Menu.Item mih={46} onClick={onSetup}>
          {t('Set-up')}
        </Menu.Item>
        <Menu.Item mih={46} onClick={onHelp}>
          {t('Help')}
        </Menu.Item>
        <Menu.Item mih={46} onClick={() => setColorScheme(scheme === 'dark' ? 'light' : 'dark')}>
          {scheme === 'dark' ? t('Daylight colors') : t('Garage colors')}
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}

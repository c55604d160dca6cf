import { ActionIcon, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { IconMoon, IconSun } from '@tabler/icons-react';
import { t } from '../messages/t.ts';

/** Switches between the day's colours and the garage's. */
export function SchemeButton() {
  const { toggleColorScheme } = useMantineColorScheme();
  // Until one is chosen it is the system's.
  const dark = useComputedColorScheme('light') === 'dark';
  return (
    <ActionIcon
      size={44}
      variant="default"
      className="hide-narrow"
      aria-label={dark ? t('Day colors') : t('Garage colors')}
      title={dark ? t('Day colors') : t('Garage colors')}
      onClick={() => toggleColorScheme()}
    >
      {dark ? <IconSun size={19} /> : <IconMoon size={19} />}
    </ActionIcon>
  );
}

import { Button, Menu } from '@mantine/core';
import { usePeopleQuery, useSessionQuery } from '../../api/api.ts';
import { personHere, personPicked } from '../../session/person.ts';
import { useWhyNot } from '../../session/rights.ts';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { t } from '../../messages/t.ts';

/** Who is at this tablet, picked by a tap: what is noted at the saw and on the wall goes by this name. */
export function PersonHere() {
  const { data: session } = useSessionQuery();
  const name = useAppSelector(personHere);
  const notCrew = useWhyNot('crew') !== undefined;
  const { data: people = [] } = usePeopleQuery(undefined, { skip: session?.me === undefined || notCrew });
  const dispatch = useAppDispatch();
  if (!session?.me || notCrew || name === undefined) return null;
  const known = people.some((one) => one.name === name);
  return (
    <Menu position="bottom-end" withinPortal>
      <Menu.Target>
        <Button
          size="compact-md"
          variant="default"
          title={t('Whose steps are noted here')}
          {...(known || people.length === 0 ? {} : { color: 'red', variant: 'outline' })}
        >
          {name}
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>{t('At this tablet is')}</Menu.Label>
        {people.map((one) => (
          <Menu.Item
            key={one.id}
            fw={one.name === name ? 650 : 400}
            aria-current={one.name === name ? 'true' : undefined}
            onClick={() => dispatch(personPicked(one.name === session.me?.name ? undefined : one.name))}
          >
            {one.name}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}

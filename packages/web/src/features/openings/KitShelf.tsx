import { Button, Group, Text, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { formatWithUnit, kitPicture, type LibraryKit } from '@long-miter/core';
import { errorOf, useLibraryKitsQuery } from '../../api/api.ts';
import { Painted } from '../../drawing/Painted.tsx';
import { useDropKitMutation, useKeepKitMutation } from '../../session/commands-api.ts';
import { useWhyNot } from '../../session/rights.ts';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { openingShort } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

/** The kits of the Library: how openings are dressed, each as it looks and with what it is made of. */
export function KitShelf() {
  const { data: kits, error } = useLibraryKitsQuery();
  if (error)
    return (
      <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
        {t('The kits cannot be shown: {detail}.', { detail: errorOf(error).detail })}
      </Text>
    );
  if (!kits) return null;
  if (kits.length === 0)
    return (
      <Text c="dimmed">
        {t(
          'No kit is kept yet. On a job’s Openings sheet pick an opening and, beside its kit, choose “Keep in the Library”: how it is dressed is then there for every job.',
        )}
      </Text>
    );
  return kits.map((one) => <Card key={one.id} kit={one} />);
}

function Card({ kit }: { readonly kit: LibraryKit }) {
  const [keep] = useKeepKitMutation();
  const [drop] = useDropKitMutation();
  const notLead = useWhyNot('lead') !== undefined;
  const say = (done: { error?: unknown }): void => {
    if (done.error !== undefined) notifications.show({ color: 'red', message: errorOf(done.error).detail });
  };
  const takeOut = async (): Promise<void> => {
    const done = await drop(kit.id);
    if ('error' in done) return say(done);
    undoNotice(t('{name} is out of the Library; openings keep theirs', { name: kit.name }), () =>
      keep(kit).then(say),
    );
  };
  const drawing = kitPicture(kit);
  return (
    <section className="panel" aria-label={kit.name} style={{ padding: '10px 14px' }}>
      <Group gap={18} align="flex-start">
        <div style={{ flex: '0 0 150px' }}>
          <Painted
            drawing={{ ...drawing, title: t('{name} as it looks', { name: kit.name }) }}
            width={150}
            height={170}
            margin={4}
            still
          />
        </div>
        <div style={{ flex: 1, minWidth: 150 }}>
          <Title order={2} size="h4">
            {kit.name}
          </Title>
          <Text c="dimmed">{openingShort(kit.kind)}</Text>
          {kit.parts.map((part) => (
            <Text key={part.id}>
              <Typeset
                text={`${part.name}: ${formatWithUnit(part.width, kit.unit)} × ${formatWithUnit(part.thickness, kit.unit)}`}
              />
            </Text>
          ))}
          {kit.parts.length === 0 && <Text>{t('no trim at all')}</Text>}
        </div>
        {!notLead && (
          <Group gap={6} style={{ flex: '0 0 220px' }}>
            <CommitField
              w={220}
              aria-label={t('Name of the kit {name}', { name: kit.name })}
              text={kit.name}
              onCommit={(text) => {
                const name = text.trim();
                if (name === '') return t('give the kit a name');
                if (name.length > 80) return t('must have at most 80 characters');
                if (name !== kit.name) void keep({ ...kit, name }).then(say);
                return undefined;
              }}
            />
            <Button
              variant="default"
              aria-label={t('Take {name} out of the Library', { name: kit.name })}
              onClick={() => void takeOut()}
            >
              {t('Take out')}
            </Button>
          </Group>
        )}
      </Group>
    </section>
  );
}

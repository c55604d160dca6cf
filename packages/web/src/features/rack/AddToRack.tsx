import { ActionIcon, Button, Group, NativeSelect, Stack, Text, TextInput, Title } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState, type FormEvent } from 'react';
import { parseLength, parsePosition, type Damage, type TrimKindRecord, type Unit } from '@long-miter/core';
import { errorOf } from '../../api/api.ts';
import { useAddOffcutMutation } from '../../session/commands-api.ts';
import { newId } from '../../session/outbox/tab-tag.ts';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly kinds: readonly TrimKindRecord[];
  readonly unit: Unit;
}

interface DamageText {
  readonly from: string;
  readonly to: string;
  readonly what: string;
}

/** Puts an offcut or a salvaged piece on the rack by hand; what cannot be used of old trim is named from its left end. */
export function AddToRack({ kinds, unit }: Props) {
  const [add, { isLoading }] = useAddOffcutMutation();
  const [kind, setKind] = useState('0');
  const [origin, setOrigin] = useState<'offcut' | 'salvaged'>('salvaged');
  const [length, setLength] = useState('');
  const [place, setPlace] = useState('');
  const [note, setNote] = useState('');
  const [damages, setDamages] = useState<readonly DamageText[]>([]);
  const [fault, setFault] = useState<string>();
  // Named before it is sent: pressed twice it is one piece.
  const [id, setId] = useState(newId);
  const trim = kinds[Number(kind)] ?? kinds[0]!;
  const own = trim.unit;
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const read = parseLength(length, own);
    if (!read.ok) return setFault(t('length: {text}', { text: translate(read.issues[0].text) }));
    const found: Damage[] = [];
    for (const [index, one] of damages.entries()) {
      const from = parsePosition(one.from, own);
      const to = parsePosition(one.to.trim() === '' ? one.from : one.to, own);
      if (!from.ok || !to.ok)
        return setFault(t('damage {index}: write where it begins and ends', { index: index + 1 }));
      found.push({ from: from.value.value, to: to.value.value, what: one.what.trim() || t('damage') });
    }
    const answer = await add({ id, trim, length: read.value.value, origin, place, note, damages: found });
    if ('error' in answer && answer.error) {
      const error = errorOf(answer.error);
      return setFault(
        error.issues[0] ? `${error.issues[0].at.slice(1)}: ${error.issues[0].text}` : error.detail,
      );
    }
    setFault(undefined);
    setId(newId());
    setLength('');
    setNote('');
    setDamages([]);
  };
  const change = (index: number, part: Partial<DamageText>): void =>
    setDamages(damages.map((one, k) => (k === index ? { ...one, ...part } : one)));
  return (
    <form onSubmit={(event) => void submit(event)}>
      <Stack gap={8}>
        <Title order={2} size="h4">
          {t('Put on the rack')}
        </Title>
        <NativeSelect
          label={t('Trim')}
          value={kind}
          data={kinds.map((one, index) => ({ value: String(index), label: one.name }))}
          onChange={(event) => setKind(event.currentTarget.value)}
        />
        <Group grow>
          <NativeSelect
            label={t('It is')}
            value={origin}
            data={[
              { value: 'salvaged', label: t('salvaged old trim') },
              { value: 'offcut', label: t('an offcut') },
            ]}
            onChange={(event) => setOrigin(event.currentTarget.value as 'offcut')}
          />
          <TextInput
            label={t('Length ({unit})', { unit: own === unit ? unit : own })}
            value={length}
            onChange={(event) => setLength(event.currentTarget.value)}
          />
        </Group>
        <Group grow>
          <TextInput
            label={t('Place')}
            value={place}
            onChange={(event) => setPlace(event.currentTarget.value)}
          />
          <TextInput
            label={t('Note')}
            value={note}
            onChange={(event) => setNote(event.currentTarget.value)}
          />
        </Group>
        {origin === 'salvaged' && (
          <>
            <Text size="sm" c="dimmed">
              {t('Nail holes, splits and dents that a piece must not have, measured from its left end.')}
            </Text>
            {damages.map((one, index) => (
              <Group key={index} gap={6} wrap="nowrap" align="flex-end">
                <TextInput
                  aria-label={t('Damage {index} from', { index: index + 1 })}
                  placeholder={t('from')}
                  value={one.from}
                  onChange={(event) => change(index, { from: event.currentTarget.value })}
                />
                <TextInput
                  aria-label={t('Damage {index} to', { index: index + 1 })}
                  placeholder={t('to')}
                  value={one.to}
                  onChange={(event) => change(index, { to: event.currentTarget.value })}
                />
                <TextInput
                  aria-label={t('Damage {index} is', { index: index + 1 })}
                  placeholder={t('nail holes, split…')}
                  value={one.what}
                  onChange={(event) => change(index, { what: event.currentTarget.value })}
                />
                <ActionIcon
                  size={36}
                  variant="default"
                  aria-label={t('Remove damage {index}', { index: index + 1 })}
                  onClick={() => setDamages(damages.filter((_, k) => k !== index))}
                >
                  <IconTrash size={18} />
                </ActionIcon>
              </Group>
            ))}
            <Button
              variant="default"
              size="compact-md"
              w="fit-content"
              onClick={() => setDamages([...damages, { from: '', to: '', what: '' }])}
            >
              {t('Add damage')}
            </Button>
          </>
        )}
        {fault && (
          <Text role="alert" size="sm" fw={600} style={{ color: 'var(--lm-bad)' }}>
            {fault}
          </Text>
        )}
        <Button type="submit" loading={isLoading} w="fit-content">
          {t('Put it on the rack')}
        </Button>
      </Stack>
    </form>
  );
}

import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { RULE_NOTES, type HouseRulesInput } from '@long-miter/core';
import { errorOf, useRuleSetsQuery } from '../../api/api.ts';
import { useDropRuleSetMutation, useKeepRuleSetMutation } from '../../session/commands-api.ts';
import { useWhyNot } from '../../session/rights.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { translate, t } from '../../messages/t.ts';
import { valueText } from './rule-values.ts';

/** What a set says otherwise than is usual, by the names of its rules. */
function saidOf(rules: HouseRulesInput): string {
  const parts = Object.entries(rules).map(([key, value]) => {
    const name = translate(RULE_NOTES.find((note) => note.key === key)?.name ?? key);
    return value === undefined || typeof value === 'object'
      ? name
      : `${name}: ${value === true ? t('yes') : value === false ? t('no') : valueText(key, value)}`;
  });
  return parts.length === 0 ? t('all as usual') : parts.join(' · ');
}

/** The crew's sets of house rules: how each differs from what is usual. They are taken into a job on its Joints page. */
export function RuleShelf() {
  const { data: sets } = useRuleSetsQuery();
  const [drop] = useDropRuleSetMutation();
  const [keep] = useKeepRuleSetMutation();
  const notLead = useWhyNot('lead') !== undefined;
  if (!sets) return null;
  if (sets.length === 0)
    return (
      <Text c="dimmed">
        {t(
          'No set of house rules is kept yet. On a job’s Joints page, under House rules, rules are kept under a name.',
        )}
      </Text>
    );
  return (
    <Stack gap={10}>
      {sets.map((set) => (
        <section key={set.id} className="panel" aria-label={set.name} style={{ padding: '10px 14px' }}>
          <Group justify="space-between">
            <Title order={2} size="h4">
              {set.name}
            </Title>
            {!notLead && (
              <Button
                size="compact-md"
                variant="default"
                aria-label={t('Delete {name}', { name: set.name })}
                onClick={() =>
                  void drop(set.id).then((done) => {
                    if (done.error) notifications.show({ color: 'red', message: errorOf(done.error).detail });
                    else
                      undoNotice(
                        t('{name} is deleted', { name: set.name }),
                        () => void keep({ name: set.name, rules: set.rules }),
                      );
                  })
                }
              >
                {t('Delete')}
              </Button>
            )}
          </Group>
          <Text>{saidOf(set.rules)}</Text>
        </section>
      ))}
    </Stack>
  );
}

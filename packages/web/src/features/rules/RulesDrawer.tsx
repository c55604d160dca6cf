import {
  ActionIcon,
  Button,
  Drawer,
  Group,
  NativeSelect,
  Progress,
  SegmentedControl,
  Stack,
  Table,
  Text,
  TextInput,
} from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  completeHouseRules,
  ofRoom,
  RULE_NOTES,
  RULE_SCHOOLS,
  sameValue,
  type HouseRulesInput,
  type JobFile,
  type JobRecord,
  type Survey,
  wordsKey,
} from '@long-miter/core';
import { errorOf, useRuleSetsQuery } from '../../api/api.ts';
import { useDropRuleSetMutation, useKeepRuleSetMutation } from '../../session/commands-api.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { draftKey } from '../../session/drafts/draft-key.ts';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { rulesDrafted } from '../../session/slices/ui-slice.ts';
import { useCommands } from '../../session/use-commands.ts';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { RuleField } from './RuleField.tsx';
import { useComparison } from './use-comparison.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly room: { readonly id: string; readonly name: string; readonly survey: Survey };
  readonly edit: EditSurvey;
  readonly opened: boolean;
  readonly onClose: () => void;
  readonly onOpen: () => void;
}

/** The house rules of a job, and a room's own over them: each says what it does and why; what would change is shown before it is applied. */
export function RulesDrawer(props: Props) {
  const { job, room, onOpen } = props;
  const waits = useAppSelector(
    ({ ui }) => ui.rules[job.id] !== undefined || ui.rules[draftKey(job.id, room.id)] !== undefined,
  );
  const close = (): void => {
    props.onClose();
    if (!waits) return;
    // Left with Escape: nothing is applied, and nothing is lost.
    const id = notifications.show({
      autoClose: 12_000,
      closeButtonProps: { 'aria-label': t('Close this notice') },
      message: (
        <Group justify="space-between" wrap="nowrap">
          <Text size="sm">{t('Your changes of the house rules are kept, and not applied yet')}</Text>
          <Button
            size="compact-sm"
            onClick={() => {
              notifications.hide(id);
              onOpen();
            }}
          >
            {t('Go back to them')}
          </Button>
        </Group>
      ),
    });
  };
  return (
    <Drawer
      opened={props.opened}
      onClose={close}
      position="right"
      size={760}
      title={<Text fw={650}>{t('House rules')}</Text>}
      closeButtonProps={{ 'aria-label': t('Close the house rules') }}
    >
      {props.opened && <Scoped {...props} />}
    </Drawer>
  );
}

/** For the whole job, or for the room that is open. */
function Scoped(props: Props) {
  const own = props.room.survey.houseRules;
  const [scope, setScope] = useState<'job' | 'room'>(own ? 'room' : 'job');
  return (
    <Stack gap={12}>
      <SegmentedControl
        aria-label={t('For what the rules hold')}
        value={scope}
        data={[
          { value: 'job', label: t('whole job') },
          { value: 'room', label: t('only {name}', { name: props.room.name }) },
        ]}
        onChange={(value) => setScope(value)}
      />
      <Rules key={scope} {...props} scope={scope} />
    </Stack>
  );
}

function Rules({ job, file, room, edit, scope, onClose }: Props & { scope: 'job' | 'room' }) {
  const { setRules } = useCommands(job.id);
  const dispatch = useAppDispatch();
  const [fault, setFault] = useState<string>();
  const forRoom = scope === 'room';
  const at = forRoom ? draftKey(job.id, room.id) : job.id;
  const stored: HouseRulesInput = forRoom ? (room.survey.houseRules ?? {}) : job.settings.houseRules;
  const draft = useAppSelector(({ ui }) => ui.rules[at]) ?? stored;
  const setDraft = (next: HouseRulesInput): void =>
    void dispatch(rulesDrafted({ scope: at, rules: sameValue(next, stored) ? undefined : next }));
  const complete = completeHouseRules(forRoom ? { ...job.settings.houseRules, ...draft } : draft, job.unit);
  const dirty = !sameValue(draft, stored);
  const found = useComparison(file, dirty ? draft : undefined, forRoom ? room.id : undefined);
  const comparison = found === 'failed' ? undefined : found;
  const change = (part: HouseRulesInput): void => setDraft({ ...draft, ...part });
  const put = (rules: HouseRulesInput): string | undefined =>
    forRoom
      ? translateIfAny(
          edit(({ houseRules: _old, ...survey }) =>
            Object.keys(rules).length > 0 ? { ...survey, houseRules: ofRoom(rules) } : survey,
          )[0]?.text,
        )
      : setRules(rules);
  const apply = (): void => {
    const before = stored;
    const changed = comparison?.changed;
    const wrong = put(draft);
    setFault(wrong);
    if (wrong !== undefined) return;
    dispatch(rulesDrafted({ scope: at, rules: undefined }));
    onClose();
    undoNotice(
      t('The house rules are changed{changed}', {
        changed: changed === undefined ? '' : t(': {count} pieces are others now', { count: changed }),
      }),
      () => void put(before),
    );
  };
  const asTheJob = (key: keyof HouseRulesInput): void => {
    const { [key]: _own, ...rest } = draft;
    setDraft(rest);
  };
  const notes = forRoom ? RULE_NOTES.filter((note) => note.key in ofRoom({ [note.key]: true })) : RULE_NOTES;
  return (
    <Stack gap={12}>
      <Sets
        draft={draft}
        onTake={(rules) => setDraft(forRoom ? ofRoom(rules) : { ...keptOf(stored), ...rules })}
      />
      <Table verticalSpacing={8} aria-label={t('House rules')}>
        <Table.Tbody>
          {notes.map((note) => (
            <Table.Tr key={note.key}>
              <Table.Td style={{ verticalAlign: 'top' }}>
                <Text fw={650}>{translate(note.name)}</Text>
                <Text size="sm">{translate(note.what)}</Text>
                <Text size="sm" c="dimmed">
                  {translate(note.why)}
                </Text>
              </Table.Td>
              <Table.Td w={230} style={{ verticalAlign: 'top' }}>
                <RuleField
                  note={note}
                  rules={draft}
                  complete={complete}
                  unit={job.unit}
                  coin={job.coin}
                  onChange={change}
                />
                {forRoom &&
                  (note.key in draft ? (
                    <Button size="compact-sm" variant="subtle" mt={4} onClick={() => asTheJob(note.key)}>
                      {t('Back to the job’s')}
                    </Button>
                  ) : (
                    <Text size="sm" c="dimmed">
                      {t('as in the job')}
                    </Text>
                  ))}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <div className="rules-foot" role="region" aria-label={t('What would change')}>
        {fault && (
          <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
            {fault}
          </Text>
        )}
        {!dirty && (
          <Text c="dimmed">{t('These rules are in force. Change one to see which pieces change.')}</Text>
        )}
        {dirty && found === undefined && <Text>{t('Looking at the rooms…')}</Text>}
        {dirty && found === 'failed' && (
          <Text role="status">
            {t('Which pieces would change could not be worked out; the rules can be applied all the same.')}
          </Text>
        )}
        {dirty && comparison && (
          <>
            {comparison.done < comparison.rooms && (
              <Progress
                value={(100 * comparison.done) / comparison.rooms}
                aria-label={t('Rooms looked at')}
              />
            )}
            <Text fw={650} role="status">
              {comparison.changed === 0
                ? t('No piece changes.')
                : t('{changed} of {pieces} pieces change.', {
                    changed: comparison.changed,
                    pieces: comparison.pieces,
                  })}
            </Text>
            <div style={{ maxHeight: 190, overflowY: 'auto' }}>
              {comparison.changes.map((one) => (
                <Text key={`${one.room}${one.label}`} size="sm">
                  <b>{one.label}</b> {t('{room}: was', { room: one.room })} <Typeset text={one.before} />
                  {t(', becomes')} <Typeset text={one.after} />
                </Text>
              ))}
              {comparison.changed > comparison.changes.length && (
                <Text size="sm" c="dimmed">
                  {t('and {changed} more', { changed: comparison.changed - comparison.changes.length })}
                </Text>
              )}
            </div>
          </>
        )}
        <Group mt={8}>
          <Button disabled={!dirty} onClick={apply}>
            {t('Apply these rules')}
          </Button>
          <Button variant="default" disabled={!dirty} onClick={() => setDraft(stored)}>
            {t('Leave them as they are')}
          </Button>
        </Group>
      </div>
    </Stack>
  );
}

/** What of the rules is about stock and saw, not about joints: a school does not touch it. */
const keptOf = ({
  endTrim,
  cutMargin,
  minPiece,
  minReusable,
  reveal,
  horn,
  numbering,
}: HouseRulesInput): HouseRulesInput =>
  Object.fromEntries(
    Object.entries({ endTrim, cutMargin, minPiece, minReusable, reveal, horn, numbering }).filter(
      ([, value]) => value !== undefined,
    ),
  );

/** Sets to start from: schools that come with the product, and the crew's own under their names. */
function Sets({ draft, onTake }: { draft: HouseRulesInput; onTake: (rules: HouseRulesInput) => void }) {
  const { data: own = [] } = useRuleSetsQuery();
  const [keep] = useKeepRuleSetMutation();
  const [drop] = useDropRuleSetMutation();
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string>();
  const [chosen, setChosen] = useState('');
  const all = [
    ...own.map((set) => ({ key: set.id, name: set.name, rules: set.rules })),
    ...RULE_SCHOOLS.map((school) => ({
      key: wordsKey(school.name),
      name: translate(school.name),
      rules: school.rules,
    })),
  ];
  const keepOwn = async (): Promise<void> => {
    const done = await keep({ name, rules: draft });
    if ('error' in done && done.error)
      return setFault(errorOf(done.error).issues[0]?.text ?? errorOf(done.error).detail);
    setName('');
    setFault(undefined);
    notifications.show({ message: t('Kept as "{name}" for every job of the crew', { name: name.trim() }) });
  };
  const mine = own.find((set) => set.id === chosen);
  return (
    <Group align="flex-end" gap={8}>
      <NativeSelect
        label={t('start from a set')}
        value={chosen}
        data={[
          { value: '', label: t('choose a set') },
          ...all.map((set) => ({ value: set.key, label: set.name })),
        ]}
        onChange={(event) => {
          const key = event.currentTarget.value;
          setChosen(key);
          const set = all.find((one) => one.key === key);
          if (set) onTake(set.rules);
        }}
      />
      {mine && (
        <ActionIcon
          size={36}
          variant="default"
          aria-label={t('Forget the set {name}', { name: mine.name })}
          onClick={() => {
            setChosen('');
            void drop(mine.id);
          }}
        >
          <IconTrash size={18} />
        </ActionIcon>
      )}
      <TextInput
        label={t('keep these for the crew as')}
        placeholder={t('name of the set')}
        value={name}
        error={fault}
        onChange={(event) => {
          setName(event.currentTarget.value);
          setFault(undefined);
        }}
      />
      <Button variant="default" onClick={() => void keepOwn()}>
        {t('Keep')}
      </Button>
    </Group>
  );
}

import { Button, Group, NativeSelect, Text, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import { changeOpening, inLibrary, libraryKitOf, linesFromLibrary, takeKit } from '@long-miter/core';
import { errorOf, useLibraryKitsQuery, useLibraryTrimsQuery } from '../../api/api.ts';
import { useDropKitMutation, useKeepKitMutation } from '../../session/commands-api.ts';
import { useWhyNot } from '../../session/rights.ts';
import { useAppSelector } from '../../session/store.ts';
import { newId } from '../../session/outbox/tab-tag.ts';
import { useCommands } from '../../session/use-commands.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { t, translateIfAny } from '../../messages/t.ts';
import type { Dressing } from './KitEditor.tsx';

/** Takes a kit of the Library for the opening at hand, and keeps how it is dressed for other jobs. */
export function LibraryKits({ job, rules, opening, side, edit }: Dressing) {
  const { data: kits = [] } = useLibraryKitsQuery();
  const { data: trims = [] } = useLibraryTrimsQuery();
  const [keep, { isLoading }] = useKeepKitMutation();
  const [drop] = useDropKitMutation();
  const { addProfile, dropProfile } = useCommands(job.id);
  const mayLead = useWhyNot('lead') === undefined;
  const [name, setName] = useState<string>();
  const [fault, setFault] = useState<string>();
  // Profiles that came with a kit that was taken back: they go once the room is saved without it.
  const [leaving, setLeaving] = useState<readonly string[]>([]);
  const saved = useAppSelector((state) =>
    Object.values(state.drafts).every((draft) => draft.jobId !== job.id || draft.save === 'saved'),
  );
  useEffect(() => {
    if (!saved) return;
    const left = leaving.filter((id) => dropProfile(id) !== undefined);
    if (left.length < leaving.length) setLeaving(left);
  }, [job, saved, leaving, dropProfile]);
  const fitting = kits.filter((one) => one.unit === job.unit && one.kind === opening.kind);
  /** Dresses the opening, wherever its wall is by now; answers why it could not be. */
  const dress = (change: Parameters<typeof changeOpening>[3]): string | undefined =>
    translateIfAny(
      edit((survey) => {
        const at = survey.walls.findIndex((wall) => wall.openings?.some((one) => one.id === opening.id));
        return at < 0 ? survey : changeOpening(survey, at, opening.id, change);
      })[0]?.text,
    );
  const take = (id: string): void => {
    const kit = fitting.find((one) => one.id === id);
    if (!kit) return;
    const taken = takeKit(kit, job.settings.profiles, newId);
    for (const profile of taken.added) {
      // Lengths and prices come along where the Library has them in this job's money.
      const trim = inLibrary(trims, job.unit, profile);
      const stock = linesFromLibrary(trim, job.coin, profile.id, newId);
      const wrong = addProfile({ profile, stock });
      if (wrong !== undefined) return setFault(wrong);
    }
    const wrong = dress(
      side === 'this'
        ? {
            kit: taken.kit,
            casing: taken.casing ?? null,
            stool: taken.stool,
            apron: taken.apron,
            picture: taken.picture,
          }
        : { other: { ...opening.other, kit: taken.kit, casing: taken.casing ?? null } },
    );
    setFault(wrong);
    if (wrong !== undefined) return;
    undoNotice(t('{name} is taken', { name: kit.name }), () => {
      // Just this comes back, whatever else was changed since; what came with it goes where nothing else uses it by now.
      const { kit: own, casing, stool, apron, picture, other } = opening;
      setFault(dress(side === 'this' ? { kit: own, casing, stool, apron, picture } : { other }));
      setLeaving(taken.added.map((one) => one.id));
    });
  };
  const keepIt = async (): Promise<void> => {
    const called = (name ?? '').trim();
    if (called === '') return setFault(t('give the kit a name'));
    const known = kits.find(
      (one) => one.name === called && one.kind === opening.kind && one.unit === job.unit,
    );
    const made = libraryKitOf(job, rules, opening, side, { id: known?.id ?? newId(), name: called });
    const done = await keep(made);
    if ('error' in done) return setFault(errorOf(done.error).issues[0]?.text ?? errorOf(done.error).detail);
    setFault(undefined);
    setName(undefined);
    undoNotice(
      known
        ? t('{name} in the Library is this one now', { name: called })
        : t('{name} is in the Library', { name: called }),
      async () => {
        const back = await (known ? keep(known) : drop(made.id));
        if ('error' in back) setFault(errorOf(back.error).detail);
      },
    );
  };
  return (
    <Group gap={8} align="flex-end" mt={8}>
      {fitting.length > 0 && (
        <NativeSelect
          size="sm"
          label={t('a kit of the Library')}
          value=""
          data={[
            { value: '', label: t('as below') },
            ...fitting.map((one) => ({ value: one.id, label: one.name })),
          ]}
          onChange={(event) => take(event.currentTarget.value)}
        />
      )}
      {mayLead &&
        (name === undefined ? (
          <Button size="sm" variant="default" onClick={() => setName('')}>
            {t('Keep in the Library')}
          </Button>
        ) : (
          <form
            onSubmit={(event) => {
              event.preventDefault();
              void keepIt();
            }}
          >
            <Group gap={6} align="flex-end">
              <TextInput
                size="sm"
                autoFocus
                label={t('name of the kit')}
                value={name}
                maxLength={80}
                onChange={(event) => setName(event.currentTarget.value)}
                onKeyDown={(event) => {
                  if (event.key === 'Escape') setName(undefined);
                }}
              />
              <Button size="sm" type="submit" loading={isLoading}>
                {t('Keep')}
              </Button>
            </Group>
          </form>
        ))}
      {fault !== undefined && (
        <Text role="alert" size="sm" fw={600} style={{ color: 'var(--lm-bad)' }}>
          {fault}
        </Text>
      )}
    </Group>
  );
}

import { Button, Checkbox, NativeSelect, Switch } from '@mantine/core';
import {
  changeOpening,
  KIT_STOCK,
  kitOf,
  newPartProfile,
  stockFor,
  type HouseRules,
  type JobRecord,
  type Kit,
  type Opening,
  type PartStock,
  type SideName,
} from '@long-miter/core';
import { LengthField } from '../../shared/fields/LengthField.tsx';
import { useCommands } from '../../session/use-commands.ts';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { t } from '../../messages/t.ts';

/** The side of an opening that is dressed, and how its room is changed. */
export interface Dressing {
  readonly job: JobRecord;
  readonly rules: HouseRules;
  readonly wallIndex: number;
  readonly opening: Opening;
  readonly side: SideName;
  readonly edit: EditSurvey;
}

const ADD = '+';
const PART_WORDS: Readonly<Record<PartStock, string>> = {
  stool: defineMessage('stool'),
  apron: defineMessage('apron'),
  band: defineMessage('back band'),
  plinth: defineMessage('plinths'),
  block: defineMessage('blocks'),
  cap: defineMessage('cap on the head'),
  jamb: defineMessage('jamb strips'),
};

/** What one side of an opening is dressed with. What is left to the house rule says what that is. */
export function KitEditor({ job, rules, wallIndex, opening, side, edit }: Dressing) {
  const { addProfile, setRules } = useCommands(job.id);
  const { profiles } = job.settings;
  const { unit } = job;
  const own = (side === 'this' ? opening.kit : opening.other?.kit) ?? {};
  const kit = kitOf(rules, opening, side);
  const window = opening.kind === 'window';
  const casings = profiles.filter((profile) => profile.use === 'casing');
  const casing = (side === 'this' ? opening.casing : opening.other?.casing) ?? '';
  const change = (part: { [K in keyof Opening]?: Opening[K] | undefined }) =>
    edit((survey) => changeOpening(survey, wallIndex, opening.id, part));
  const setKit = (part: { [K in keyof Kit]?: Kit[K] | undefined }) => {
    const next = Object.fromEntries(
      Object.entries({ ...own, ...part }).filter(([, value]) => value !== undefined),
    ) as Kit;
    const held = Object.keys(next).length > 0 ? next : undefined;
    if (side === 'this') return change({ kit: held });
    const { kit: _old, ...rest } = opening.other ?? {};
    return change({ other: { ...rest, ...(held ? { kit: held } : {}) } });
  };
  const setCasing = (id: string): void => {
    if (side === 'this') change({ casing: id === '' ? null : id });
    else if (id === '') change({ other: undefined });
    else change({ other: { ...opening.other, casing: id } });
  };
  const nameOf = (id: string | undefined): string => profiles.find((one) => one.id === id)?.name ?? t('none');
  /** A part with stock of its own: none, one of the job's, or a first one. */
  const part = (
    key: PartStock,
    value: string | undefined,
    take: (id: string | undefined) => unknown,
    byRule?: string,
  ) => (
    <NativeSelect
      key={key}
      size="sm"
      label={t(PART_WORDS[key])}
      value={value ?? ''}
      data={[
        {
          value: '',
          label: byRule === undefined ? t('none') : t('house rule: {nameOf}', { nameOf: nameOf(byRule) }),
        },
        ...stockFor(profiles, key).map((profile) => ({ value: profile.id, label: profile.name })),
        { value: ADD, label: t('add {key} to the job', { key: t(PART_WORDS[key]) }) },
      ]}
      onChange={(event) => {
        const chosen = event.currentTarget.value;
        if (chosen !== ADD) return void take(chosen === '' ? undefined : chosen);
        const made = newPartProfile(job.settings, key, unit);
        if (addProfile(made) === undefined) take(made.profile.id);
      }}
    />
  );
  const other = (key: 'leg' | 'head' | 'sill', label: string) => (
    <NativeSelect
      key={key}
      size="sm"
      label={label}
      value={own[key] ?? ''}
      data={[
        { value: '', label: t('as the casing') },
        ...casings.map((profile) => ({ value: profile.id, label: profile.name })),
      ]}
      onChange={(event) => setKit({ [key]: event.currentTarget.value || undefined })}
    />
  );
  const length = (
    key: 'overhang' | 'capOverhang' | 'plinthHeight' | 'jambReveal',
    label: string,
    usual = 0,
  ) => (
    <LengthField
      key={key}
      label={label}
      showLabel
      unit={unit}
      position={key !== 'plinthHeight'}
      value={kit[key] ?? usual}
      typed={undefined}
      onLength={(value) => setKit({ [key]: value })}
    />
  );
  const ruled = rules.kit[opening.kind] ?? {};
  const cased = casing !== '';
  const framed = window && opening.picture === true && opening.stool === undefined;
  return (
    <div className="kit">
      <NativeSelect
        size="sm"
        label={t('casing')}
        value={casing}
        data={[
          { value: '', label: t('none') },
          ...casings.map((profile) => ({ value: profile.id, label: profile.name })),
        ]}
        onChange={(event) => setCasing(event.currentTarget.value)}
      />
      {cased && !framed && (
        <NativeSelect
          size="sm"
          label={t('head corners')}
          value={own.corners ?? ''}
          data={[
            {
              value: '',
              label: t('house rule: {corners}', { corners: t(CORNERS[ruled.corners ?? 'miter']) }),
            },
            { value: 'miter', label: t(CORNERS.miter) },
            { value: 'butt', label: t(CORNERS.butt) },
            { value: 'block', label: t(CORNERS.block) },
          ]}
          onChange={(event) =>
            setKit({ corners: (event.currentTarget.value || undefined) as Kit['corners'] })
          }
        />
      )}
      {cased && other('head', t('head of'))}
      {cased && other('leg', t('legs of'))}
      {framed && other('sill', t('sill piece of'))}
      {cased && kit.corners === 'butt' && length('overhang', t('overhang'))}
      {window && side === 'this' && (
        <>
          {part('stool', opening.stool, (id) => change({ stool: id, ...(id ? { picture: undefined } : {}) }))}
          {part('apron', opening.apron, (id) => change({ apron: id }))}
          {opening.stool !== undefined && (
            <NativeSelect
              size="sm"
              label={t('sill height is to')}
              value={opening.sillIs ?? 'stool-top'}
              data={[
                { value: 'stool-top', label: t('the stool’s top') },
                { value: 'frame', label: t('the frame') },
              ]}
              onChange={(event) =>
                change({ sillIs: event.currentTarget.value === 'frame' ? 'frame' : undefined })
              }
            />
          )}
        </>
      )}
      {KIT_STOCK.filter(
        (key) =>
          (cased || (key === 'jamb' && side === 'this')) &&
          (key !== 'jamb' || side === 'this') &&
          (key !== 'plinth' || !window) &&
          (key !== 'block' || kit.corners === 'block'),
      ).map((key) => part(key, own[key], (id) => setKit({ [key]: id }), ruled[key]))}
      {cased && kit.plinth !== undefined && !window && length('plinthHeight', t('plinth height'))}
      {cased && kit.cap !== undefined && length('capOverhang', t('cap overhang'))}
      {side === 'this' && kit.jamb !== undefined && (
        <NativeSelect
          size="sm"
          label={t('which strips run over')}
          value={own.lap ?? ruled.lap ?? 'head'}
          data={[
            { value: 'head', label: t('head over the sides') },
            { value: 'sides', label: t('sides over the head') },
          ]}
          onChange={(event) => setKit({ lap: event.currentTarget.value as Kit['lap'] })}
        />
      )}
      {side === 'this' && kit.jamb !== undefined && length('jambReveal', t('strip set back'))}
      {window && side === 'this' && opening.stool === undefined && cased && (
        <Checkbox
          label={t('cased all round')}
          checked={opening.picture ?? false}
          onChange={(event) => change({ picture: event.currentTarget.checked || undefined })}
        />
      )}
      {side === 'this' && (
        <NativeSelect
          size="sm"
          label={t('something in the way')}
          value={opening.clear ?? ''}
          data={[
            { value: '', label: t('nothing') },
            { value: 'blind', label: t('a blind: no casing') },
            { value: 'shutter', label: t('a shutter: no casing') },
            { value: 'tile', label: t('tile: no casing') },
            { value: 'other', label: t('something: no casing') },
          ]}
          onChange={(event) =>
            change({ clear: (event.currentTarget.value || undefined) as Opening['clear'] })
          }
        />
      )}
      {side === 'this' && Object.keys(ruleOf(own)).length > 0 && (
        <Button
          size="compact-sm"
          variant="default"
          style={{ alignSelf: 'end' }}
          title={t(
            'What is chosen here for parts and corners becomes the house rule; {kind} that chose for themselves keep theirs',
            { kind: opening.kind === 'window' ? t('windows') : t('others') },
          )}
          onClick={() => {
            const { houseRules } = job.settings;
            const wrong = setRules({
              ...houseRules,
              kit: {
                ...houseRules.kit,
                [opening.kind]: { ...houseRules.kit?.[opening.kind], ...ruleOf(own) },
              },
            });
            if (wrong === undefined)
              setKit(Object.fromEntries(Object.keys(ruleOf(own)).map((key) => [key, undefined])));
          }}
        >
          {t('House rule for every {kind}', { kind: KIND_RULE[opening.kind] })}
        </Button>
      )}
      {side === 'this' && cased && (
        <Switch
          size="xs"
          label={t('joined on the bench')}
          title={t('Glued up as one unit and set as one; its head does not wait for a measure')}
          checked={kit.oneUnit ?? false}
          onChange={(event) => setKit({ oneUnit: event.currentTarget.checked || undefined })}
        />
      )}
      {side === 'this' && opening.kind !== 'pocket' && cased && (
        <Switch
          size="xs"
          label={t('comes off again')}
          title={t('Head and one leg screwed and capped, not glued')}
          checked={opening.removable ?? false}
          onChange={(event) => change({ removable: event.currentTarget.checked || undefined })}
        />
      )}
    </div>
  );
}

/** What of a kit can be a rule: legs are ripped one by one. */
const ruleOf = ({ ripLeft: _left, ripRight: _right, ...kit }: Kit): Kit => kit;

const KIND_RULE: Readonly<Record<Opening['kind'], string>> = {
  door: t('door'),
  cased: t('cased opening'),
  pocket: t('pocket door'),
  window: t('window'),
  drywall: t('plain opening'),
};

const CORNERS = {
  miter: defineMessage('mitered'),
  butt: defineMessage('head over the legs'),
  block: defineMessage('corner blocks'),
} as const;

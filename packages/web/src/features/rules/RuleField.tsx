import { Group, NativeSelect, Stack, Switch } from '@mantine/core';
import {
  formatLength,
  fromMinor,
  toMinor,
  type Coin,
  type HouseRules,
  type HouseRulesInput,
  type RuleNote,
  type Unit,
} from '@long-miter/core';
import { MoneyField, NumberField, SizeField } from '../../shared/fields/SettledField.tsx';
import { translate, t } from '../../messages/t.ts';
import { ruleChoices } from './rule-values.ts';

interface Props {
  readonly note: RuleNote;
  readonly rules: HouseRulesInput;
  readonly complete: HouseRules;
  readonly unit: Unit;
  readonly coin: Coin;
  readonly onChange: (change: HouseRulesInput) => void;
}

/** The control that sets one rule. */
export function RuleField({ note, rules, complete, unit, coin, onChange }: Props) {
  const taken = (change: HouseRulesInput): undefined => {
    onChange(change);
    return undefined;
  };
  const choice = (value: string, data: { value: string; label: string }[], take: (value: string) => void) => (
    <NativeSelect
      aria-label={translate(note.name)}
      value={value}
      data={data}
      onChange={(event) => take(event.currentTarget.value)}
    />
  );
  switch (note.key) {
    case 'insideCorner':
      return choice(
        typeof rules.insideCorner === 'string' ? rules.insideCorner : 'by-use',
        [{ value: 'by-use', label: t('by trim: cope, shoe mitered') }, ...ruleChoices('insideCorner')],
        (value) =>
          onChange({
            insideCorner:
              value === 'by-use'
                ? typeof rules.insideCorner === 'object'
                  ? rules.insideCorner
                  : {}
                : (value as 'cope'),
          }),
      );
    case 'miterBias':
      return (
        <Group gap={6} grow preventGrowOverflow={false}>
          <NumberField
            miw={80}
            aria-label={translate(note.name)}
            sign="°"
            limits={{ min: 0, max: 9 }}
            value={complete.miterBias.degrees}
            onTake={(degrees) => taken({ miterBias: { ...complete.miterBias, degrees } })}
          />
          <NativeSelect
            aria-label={t('{name}, where', { name: translate(note.name) })}
            value={complete.miterBias.on}
            data={[
              { value: 'assumed', label: t('assumed') },
              { value: 'all', label: t('all') },
            ]}
            onChange={(event) =>
              onChange({ miterBias: { ...complete.miterBias, on: event.currentTarget.value as 'all' } })
            }
          />
        </Group>
      );
    case 'obtuseMiterFrom':
      return (
        <NumberField
          aria-label={translate(note.name)}
          sign="°"
          limits={{ min: 90, max: 180 }}
          value={complete.obtuseMiterFrom}
          onTake={(obtuseMiterFrom) => taken({ obtuseMiterFrom })}
        />
      );
    case 'fitThroughEnd':
    case 'viewFromEntry': {
      const { key } = note;
      return (
        <Switch
          aria-label={translate(note.name)}
          checked={complete[key]}
          label={complete[key] ? t('yes') : t('no')}
          onChange={(event) => onChange({ [key]: event.currentTarget.checked })}
        />
      );
    }
    case 'scarfAngle':
      return choice(
        String(complete.scarfAngle),
        [
          { value: '45', label: '45°' },
          { value: '30', label: '30°' },
          { value: '22.5', label: '22½°' },
          { value: '0', label: t('butt') },
        ],
        (value) => onChange({ scarfAngle: Number(value) as 45 }),
      );
    case 'splices':
      return (
        <Stack gap={6}>
          {choice(complete.splices, ruleChoices('splices'), (value) =>
            onChange({ splices: value as 'needed' }),
          )}
          <MoneyField
            aria-label={t('what a splice costs')}
            title={t('what a splice costs, in money')}
            coin={coin}
            value={toMinor(complete.splicePrice, coin)}
            onTake={(price) => taken({ splicePrice: fromMinor(price, coin) })}
          />
        </Stack>
      );
    case 'spliceLengths':
      return choice(complete.spliceLengths, ruleChoices('spliceLengths'), (value) =>
        onChange({ spliceLengths: value as 'any' }),
      );
    case 'bullnose':
      return (
        <Group gap={6} wrap="nowrap">
          {choice(complete.bullnose, ruleChoices('bullnose'), (value) =>
            onChange({ bullnose: value as 'transition' }),
          )}
          {complete.bullnose === 'transition' && (
            <NumberField
              aria-label={t('how many small pieces')}
              title={t('how many small pieces')}
              limits={{ min: 1, max: 20, whole: true }}
              value={complete.transitionPieces}
              onTake={(transitionPieces) => taken({ transitionPieces })}
            />
          )}
        </Group>
      );
    case 'springFit':
      return <SpringFit complete={complete} unit={unit} name={translate(note.name)} onChange={onChange} />;
    case 'shoeReturn':
      return choice(complete.shoeReturn, ruleChoices('shoeReturn'), (value) =>
        onChange({ shoeReturn: value as 'snipped' }),
      );
    case 'railReturn':
      return choice(complete.railReturn, ruleChoices('railReturn'), (value) =>
        onChange({ railReturn: value as 'single' }),
      );
    case 'numbering':
      return choice(complete.numbering, ruleChoices('numbering'), (value) =>
        onChange({ numbering: value as 'entry' }),
      );
    case 'crownCut':
      return choice(complete.crownCut, ruleChoices('crownCut'), (value) =>
        onChange({ crownCut: value as 'nested' }),
      );
    case 'headMode':
      return (
        <Stack gap={6}>
          {choice(complete.headMode, ruleChoices('headMode'), (value) =>
            onChange({ headMode: value as 'measured' }),
          )}
          {complete.headMode !== 'pre-cut' && (
            <SizeField
              aria-label={t('how much longer a head is until then')}
              title={t('how much longer a head is until then')}
              unit={unit}
              zero
              value={complete.headMode === 'rough' ? complete.roughAllowance : complete.heldAllowance}
              onTake={(value) =>
                taken(complete.headMode === 'rough' ? { roughAllowance: value } : { heldAllowance: value })
              }
            />
          )}
        </Stack>
      );
    case 'crownOrder':
      return choice(
        complete.crownOrder ?? '',
        [{ value: '', label: t('as it comes') }, ...ruleChoices('crownOrder')],
        (value) => onChange({ crownOrder: (value || undefined) as 'round' }),
      );
    case 'closingMode':
      return choice(complete.closingMode, ruleChoices('closingMode'), (value) =>
        onChange({ closingMode: value as 'long' }),
      );
    case 'ceilingLine':
      return choice(complete.ceilingLine, ruleChoices('ceilingLine'), (value) =>
        onChange({ ceilingLine: value as 'level' }),
      );
    case 'looseEnd':
      return (
        <Group gap={6} grow preventGrowOverflow={false}>
          {(['polyurethane', '*'] as const).map((material) => (
            <SizeField
              key={material}
              aria-label={`${translate(note.name)}, ${material === '*' ? t('others') : t('foam')}`}
              label={material === '*' ? t('others') : t('foam')}
              value={complete.looseEnd[material] ?? 0}
              unit={unit}
              zero
              onTake={(value) => taken({ looseEnd: { ...rules.looseEnd, [material]: value } })}
            />
          ))}
        </Group>
      );
    case 'backCut':
      return (
        <NumberField
          aria-label={translate(note.name)}
          sign="°"
          limits={{ min: 0, max: 10 }}
          value={complete.backCut}
          onTake={(backCut) => taken({ backCut })}
        />
      );
    case 'spliceFromCorner':
    case 'returnTolerance':
    case 'outOfTrue':
    case 'coverGap':
    case 'proudJamb':
    case 'horn':
    case 'stoolPlay':
    case 'closing':
    case 'shy':
    case 'testPiece':
    case 'ceilingGap':
    case 'lightGap':
    case 'reveal': {
      const { key } = note;
      return (
        <SizeField
          aria-label={translate(note.name)}
          value={complete[key]}
          unit={unit}
          zero
          onTake={(value) => taken({ [key]: value })}
        />
      );
    }
    default:
      return null;
  }
}

/** Two steps, as crews say it: nothing under one length, a little from there, more from another. */
function SpringFit({
  complete,
  unit,
  name,
  onChange,
}: Pick<Props, 'complete' | 'unit' | 'onChange'> & { name: string }) {
  const usual =
    unit === 'in'
      ? [
          { from: 96, add: 1 / 32 },
          { from: 144, add: 1 / 16 },
        ]
      : [
          { from: 2400, add: 1 },
          { from: 3600, add: 1.5 },
        ];
  const on = complete.springFit.length > 0;
  const words = complete.springFit
    .map(({ from, add }) =>
      t('{add} from {from}', {
        add: formatLength(add, unit, { inchParts: 32 }),
        from: formatLength(from, unit),
      }),
    )
    .join(', ');
  return (
    <Switch
      aria-label={name}
      checked={on}
      label={on ? words : t('cut to the wall')}
      onChange={(event) => onChange({ springFit: event.currentTarget.checked ? usual : [] })}
    />
  );
}

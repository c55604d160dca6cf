import { NativeSelect, SegmentedControl, Slider, Stack, Text, TextInput } from '@mantine/core';
import {
  nearestFraction,
  parsePosition,
  parseSignedAngle,
  type Field,
  type Slide,
  type Unit,
} from '@long-miter/core';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly field: Field;
  readonly text: string;
  readonly unit: Unit;
  readonly fault: string | undefined;
  readonly onText: (text: string) => void;
}

const slideOf = ({ slide }: Field, unit: Unit): Slide | undefined =>
  slide && ('from' in slide ? slide : slide[unit]);

/** A slider's value as one would type it. */
function slideText(field: Field, value: number, unit: Unit): string {
  if (unit === 'mm' || (field.kind !== 'position' && field.kind !== 'length'))
    return String(Number(value.toFixed(3)));
  const { whole, num, den } = nearestFraction(value, 64);
  return num === 0 ? String(whole) : whole === 0 ? `${num}/${den}` : `${whole} ${num}/${den}`;
}

function numberOf(field: Field, text: string, unit: Unit): number | undefined {
  if (field.kind === 'length' || field.kind === 'position') {
    const read = parsePosition(text, unit);
    return read.ok ? read.value.value : undefined;
  }
  const read = parseSignedAngle(text);
  return read.ok ? read.value : undefined;
}

const UNITS: Readonly<Partial<Record<Field['kind'], string>>> = { angle: '°', signed: '°' };

const LABEL = { fz: 'sm', lh: 1.25, mb: 3 };

/** One field of a sheet: a figure, with a slider where it is one to play with, or a choice. */
export function SheetField({ field, text, unit, fault, onText }: Props) {
  const label = translate(field.label);
  if (field.kind === 'choice') {
    const data = field.options!.map((one) => ({ value: one.value, label: translate(one.label) }));
    const short = data.length <= 3 && data.every((one) => one.label.length <= 16);
    return short ? (
      <Stack gap={3}>
        <Text size="sm" fw={500}>
          {label}
        </Text>
        <SegmentedControl fullWidth aria-label={label} data={data} value={text} onChange={onText} />
      </Stack>
    ) : (
      <NativeSelect
        size="md"
        style={data.some((one) => one.label.length > 17) ? { gridColumn: '1 / -1' } : undefined}
        label={label}
        labelProps={LABEL}
        data={data}
        value={text}
        onChange={(event) => onText(event.currentTarget.value)}
      />
    );
  }
  const slide = slideOf(field, unit);
  const value = slide && numberOf(field, text, unit);
  const suffix = UNITS[field.kind] ?? (field.kind === 'length' || field.kind === 'position' ? unit : '');
  return (
    <div style={field.kind === 'lengths' ? { gridColumn: '1 / -1' } : undefined}>
      <TextInput
        size="md"
        label={label}
        labelProps={LABEL}
        value={text}
        autoComplete="off"
        spellCheck={false}
        inputMode={field.kind === 'angle' || field.kind === 'count' ? 'decimal' : 'text'}
        rightSection={
          <Text size="sm" c="dimmed">
            {suffix}
          </Text>
        }
        error={fault}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => onText(event.currentTarget.value)}
      />
      {slide && (
        <Slider
          mt={8}
          mb={4}
          size="md"
          thumbSize={22}
          label={null}
          min={slide.from}
          max={slide.to}
          step={slide.step}
          value={Math.min(slide.to, Math.max(slide.from, value ?? slide.from))}
          onChange={(next) => onText(slideText(field, next, unit))}
          thumbLabel={t('{label}, slider', { label })}
        />
      )}
    </div>
  );
}

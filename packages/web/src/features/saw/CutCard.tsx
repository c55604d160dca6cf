import { Badge, Button, Group, Text } from '@mantine/core';
import { IconArrowLeft, IconArrowRight } from '@tabler/icons-react';
import { cutDrawing, formatAngle, formatWithUnit, type CutStep, type Unit } from '@long-miter/core';
import { Typeset } from '../../shared/Figure.tsx';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';

interface Props {
  readonly steps: readonly CutStep[];
  readonly at: number;
  readonly unit: Unit;
  /** What a careful lead would point out about this piece. */
  readonly warnings: readonly string[];
  readonly onStep: (step: number) => void;
}

const WAYS = {
  standing: 'standing, back to the fence',
  flat: 'lying flat',
  nested: 'upside down, back to the fence',
} as const;

/** One cut in figures that can be read from two metres. */
export function CutCard({ steps, at, unit, warnings, onStep }: Props) {
  const step = steps[at]!;
  const { saw } = step;
  const swing = saw.swing === 'none' ? 'straight' : saw.swing;
  return (
    <section
      className="panel"
      aria-label="This cut"
      style={{ padding: '10px 14px', display: 'flex', flexDirection: 'column', gap: 6 }}
    >
      <Group justify="space-between" wrap="nowrap">
        <Text fw={700} fz="xl">
          {step.piece.label} · {step.end} end
        </Text>
        <Badge size="lg" variant="light" color="gray" tt="none">
          cut {at + 1} of {steps.length}
        </Badge>
      </Group>
      <Text>
        Stick {step.stickNumber}, <Typeset text={formatWithUnit(step.stick.length, unit)} />
        {step.stick.source === 'rack' ? ' from the rack' : ''} · goes to {step.place}
      </Text>
      <div className="cut-figures">
        <div>
          <Text c="dimmed">{step.shared ? 'this end' : step.end === 'left' ? 'clean cut at' : 'mark'}</Text>
          <div
            className={step.shared ? undefined : 'big'}
            style={step.shared ? { fontSize: '2rem', fontWeight: 700 } : undefined}
            data-testid="mark"
          >
            <Typeset text={step.mark.text} />
          </div>
          <Text size="sm">{step.shared ? step.mark.from : `from ${step.mark.from}`}</Text>
        </div>
        <div>
          <Text c="dimmed">
            {saw.bevel > 0 && saw.miter === 0
              ? 'tilt the blade'
              : saw.swing === 'none'
                ? 'square cut, dial'
                : `swing ${swing}, dial`}
          </Text>
          <div className="big" data-testid="dial">
            {saw.swing === 'none' && saw.bevel === 0
              ? formatAngle(saw.dial)
              : saw.bevel > 0 && saw.miter === 0
                ? `bevel ${formatAngle(saw.bevel)}`
                : formatAngle(saw.dial)}
          </div>
          <Text size="sm">
            {WAYS[saw.way]}
            {Math.abs(saw.dial - saw.miter) > 0.005 && saw.block === undefined
              ? ` · true angle ${formatAngle(saw.miter)}`
              : ''}
            {saw.block === undefined
              ? ''
              : ` · ${formatAngle(saw.block)} block on the fence for ${formatAngle(saw.miter)}`}
          </Text>
        </div>
      </div>
      <DrawingSvg drawing={cutDrawing(step)} height={205} margin={0} caption={false} />
      <Text size="sm">
        {step.end === 'left'
          ? step.piece.left.joint === 'cope'
            ? 'Then cope along the profile, undercut.'
            : ''
          : step.piece.right.joint === 'cope'
            ? 'Then cope along the profile, undercut.'
            : ''}{' '}
        Write {step.piece.label} on its back.
      </Text>
      {warnings.map((text) => (
        <Text key={text} size="sm" fw={600} role="note" style={{ color: 'var(--lm-bad)' }}>
          ▲ {text}
        </Text>
      ))}
      <Group grow gap="sm" className="no-print">
        <Button
          size="lg"
          variant="default"
          leftSection={<IconArrowLeft />}
          disabled={at === 0}
          onClick={() => onStep(at - 1)}
        >
          Back
        </Button>
        <Button
          size="lg"
          rightSection={<IconArrowRight />}
          disabled={at === steps.length - 1}
          onClick={() => onStep(at + 1)}
        >
          Next cut
        </Button>
      </Group>
    </section>
  );
}

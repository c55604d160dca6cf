import { formatLength, formatWithUnit, type Unit } from '@long-miter/core';

/** Splits a text into runs that are set plain and its fractions, each of which is set as one. */
export function fractionRuns(text: string): { readonly text: string; readonly frac: boolean }[] {
  return text
    .split(/(\d+\/\d+)/)
    .map((part, index) =>
      index % 2 === 1
        ? { text: part, frac: true }
        : { text: part.replace(/(\d) $/, '$1\u2009'), frac: false },
    )
    .filter((run) => run.text !== '');
}

/** A length with a real typeset fraction. */
export function LengthText({
  value,
  unit,
  withUnit = false,
}: {
  value: number;
  unit: Unit;
  withUnit?: boolean;
}) {
  const text = withUnit ? formatWithUnit(value, unit) : formatLength(value, unit);
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      <Typeset text={text} />
    </span>
  );
}

/** Any text with its fractions typeset. */
export function Typeset({ text }: { text: string }) {
  return fractionRuns(text).map((run, index) =>
    run.frac ? (
      <span key={index} className="frac">
        {run.text}
      </span>
    ) : (
      <span key={index}>{run.text}</span>
    ),
  );
}

/** Any text inside an SVG text element, its fractions typeset. */
export const SvgTypeset = ({ text }: { text: string }) =>
  fractionRuns(text).map((run, index) => (
    <tspan key={index} style={run.frac ? { fontFeatureSettings: "'frac' 1" } : undefined}>
      {run.text}
    </tspan>
  ));

import { formatLength, formatWithUnit, type Unit } from '@long-miter/core';

/** Splits a formatted length into runs that are set plain and the fraction, which is set as one. */
export function fractionRuns(text: string): { readonly text: string; readonly frac: boolean }[] {
  const match = /^(.*?)(\d+\/\d+)(.*)$/.exec(text);
  if (!match) return [{ text, frac: false }];
  const [, before = '', fraction = '', after = ''] = match;
  return [
    { text: before.replace(/ $/, '\u2009'), frac: false },
    { text: fraction, frac: true },
    { text: after, frac: false },
  ].filter((run) => run.text !== '');
}

/** A length with a real typeset fraction. */
export function Figure({ value, unit, withUnit = false }: { value: number; unit: Unit; withUnit?: boolean }) {
  const text = withUnit ? formatWithUnit(value, unit) : formatLength(value, unit);
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      <Typeset text={text} />
    </span>
  );
}

/** Any text with its first fraction typeset. */
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

/** The same inside an SVG text element. */
export const SvgFigure = ({ value, unit }: { value: number; unit: Unit }) =>
  fractionRuns(formatLength(value, unit)).map((run, index) => (
    <tspan key={index} style={run.frac ? { fontFeatureSettings: "'frac' 1" } : undefined}>
      {run.text}
    </tspan>
  ));

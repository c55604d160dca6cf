import { useId, type CSSProperties } from 'react';
import {
  refKey,
  type Drawing,
  type Label,
  type DrawingPart as DrawnPart,
  type Shape,
} from '@long-miter/core';
import { SvgTypeset } from '../shared/fields/Figure.tsx';
import { fitInto, type Fit, type ScreenPoint } from './fit.ts';
import { MarkSign } from './Marks.tsx';
import { PickablePart, PartsSvg, type Moved } from './Parts.tsx';
import { LETTERS, LINE_LOOK, LOOK, PICKED_LOOK } from './roles.ts';
import { translate, translateIfAny } from '../messages/t.ts';

/** What a screen lets one do with a part of a drawing. */
export interface PartUse {
  readonly picked?: boolean;
  readonly onPick?: (() => void) | undefined;
  readonly moved?: Moved | undefined;
  /** Said after its name: how it is moved. */
  readonly hint?: string;
  readonly tip?: string;
  readonly style?: CSSProperties | undefined;
}

/** Decides for each part what may be done with it; parts it says nothing of are only looked at. */
export type UseOfPart = (part: DrawnPart, fit: Fit) => PartUse | undefined;

interface Props {
  readonly drawing: Drawing;
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  readonly use?: UseOfPart | undefined;
  /** One picture to look at: what is picked is marked, nothing is a button. */
  readonly still?: boolean;
  readonly style?: CSSProperties;
}

interface Page extends Fit {
  readonly use: UseOfPart | undefined;
  readonly fillOf: (hatch: 'gap' | 'waste') => string;
  readonly still: boolean;
  readonly picked: boolean;
}

/** Any drawing of core, fitted into a frame: the one place where shapes become a picture on the page. */
export function Painted({ drawing, width, height, margin, use, still = use === undefined, style }: Props) {
  const id = useId();
  const page: Page = {
    ...fitInto(drawing, width, height, margin),
    use,
    fillOf: (hatch) => `url(#${id}${hatch})`,
    still,
    picked: false,
  };
  const inside = (
    <>
      <Hatch id={`${id}gap`} ground="var(--lm-bad)" opacity={0.35} stroke="var(--lm-bad)" width={2.4} />
      <Hatch id={`${id}waste`} ground="var(--lm-void)" opacity={1} stroke="var(--lm-line)" width={4} />
      {drawing.shapes.map((shape, index) => (
        <Shown key={keyOf(shape, index)} shape={shape} page={page} />
      ))}
    </>
  );
  return !still ? (
    <PartsSvg width={width} height={height} label={translate(drawing.title)} style={style}>
      {inside}
    </PartsSvg>
  ) : (
    <svg width={width} height={height} role="img" aria-label={translate(drawing.title)} style={style}>
      {inside}
    </svg>
  );
}

const keyOf = (shape: Shape, index: number): string | number =>
  shape.kind === 'part' ? refKey(shape.ref) : index;

const Hatch = (look: { id: string; ground: string; opacity: number; stroke: string; width: number }) => (
  <pattern id={look.id} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <rect width="7" height="7" fill={look.ground} opacity={look.opacity} />
    <line x1="0" y1="0" x2="0" y2="7" stroke={look.stroke} strokeWidth={look.width} />
  </pattern>
);

const list = (points: readonly ScreenPoint[]): string =>
  points.map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');

function Shown({ shape, page }: { shape: Shape; page: Page }) {
  const look = (role: keyof typeof LOOK) => ({ ...LOOK[role], ...(page.picked ? PICKED_LOOK[role] : {}) });
  switch (shape.kind) {
    case 'area': {
      const { role, points, tip } = shape;
      const hatched = role === 'gap' || role === 'waste' ? { fill: page.fillOf(role) } : {};
      return (
        <polygon points={list(points.map(page.at))} {...look(role)} {...hatched}>
          {tip !== undefined && <title>{translate(tip)}</title>}
        </polygon>
      );
    }
    case 'line':
      return (
        <polyline
          points={list(aside(shape, page.at))}
          {...look(shape.role)}
          {...LINE_LOOK[shape.role]}
          fill="none"
        />
      );
    case 'label':
      return <Lettered label={shape} page={page} />;
    case 'size':
      return shape.text === '' ? null : (
        <SizeLine from={page.at(shape.from)} to={page.at(shape.to)} text={translate(shape.text)} />
      );
    case 'mark':
      return (
        <g>
          {shape.tip !== undefined && <title>{translate(shape.tip)}</title>}
          <MarkSign
            mark={shape.mark}
            at={page.at(shape.at)}
            toward={shape.toward && { x: shape.toward.x, y: -shape.toward.y }}
          />
        </g>
      );
    case 'part':
      return <Named part={shape} page={page} />;
  }
}

/** The line as the page has it: moved aside, and shorter at both ends, by points of the page. */
function aside(shape: Extract<Shape, { kind: 'line' }>, at: Page['at']): readonly ScreenPoint[] {
  const { aside: off = { x: 0, y: 0 }, inset = 0 } = shape;
  const points = shape.points.map(at).map(({ x, y }) => ({ x: x + off.x, y: y - off.y }));
  if (inset === 0 || points.length !== 2) return points;
  const [a, b] = [points[0]!, points[1]!];
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const u = { x: ((b.x - a.x) / long) * inset, y: ((b.y - a.y) / long) * inset };
  return [
    { x: a.x + u.x, y: a.y + u.y },
    { x: b.x - u.x, y: b.y - u.y },
  ];
}

/** Width of a text, near enough to know whether it fits; a set fraction is about two figures wide. */
const widthOf = (text: string, fontSize: number): number =>
  text.replace(/\d+\/\d+/g, '00').length * fontSize * 0.5 + 4;

function Lettered({ label, page }: { label: Label; page: Page }) {
  const { rim, ...letters } = LETTERS[label.as ?? 'plain'];
  const room = label.room === undefined || (page.picked && label.keep) ? Infinity : label.room * page.scale;
  const text = [label.text, label.short]
    .map(translateIfAny)
    .find((one) => one !== undefined && room >= widthOf(one, letters.fontSize));
  if (text === undefined) return null;
  const { x, y } = page.at(label.at);
  const { fill, ...rest } = letters;
  return (
    <text
      x={x + (label.aside?.x ?? 0)}
      y={y - (label.aside?.y ?? 0) + letters.fontSize * 0.34}
      textAnchor={label.anchor ?? 'middle'}
      pointerEvents={page.picked ? 'none' : undefined}
      {...rest}
      {...(page.picked ? { fontWeight: 750 } : {})}
      style={{ ...(rim ? RIM : {}), ...(fill ? { fill } : {}) }}
    >
      <SvgTypeset text={text} />
    </text>
  );
}

const RIM: CSSProperties = {
  paintOrder: 'stroke',
  stroke: 'var(--lm-panel)',
  strokeWidth: 5,
  strokeLinejoin: 'round',
};

function Named({ part, page }: { part: DrawnPart; page: Page }) {
  const use = page.use?.(part, page);
  const inner: Page = { ...page, picked: use?.picked ?? false };
  const shapes = part.shapes.map((shape, index) => (
    <Shown key={keyOf(shape, index)} shape={shape} page={inner} />
  ));
  if (!use || page.still) return <g pointerEvents="none">{shapes}</g>;
  const tip = use.tip ?? (part.tip === undefined ? undefined : translate(part.tip));
  return (
    <PickablePart
      of={refKey(part.ref)}
      {...{ [`data-${part.ref.kind}`]: part.tag }}
      label={`${translate(part.name)}${use.hint === undefined ? '' : `; ${use.hint}`}`}
      picked={use.picked ?? false}
      onPick={use.onPick}
      moved={use.moved}
      style={use.style}
    >
      {tip !== undefined && <title>{tip}</title>}
      {shapes}
    </PickablePart>
  );
}

function SizeLine({ from, to, text }: { from: ScreenPoint; to: ScreenPoint; text: string }) {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const u = long > 0 ? { x: (to.x - from.x) / long, y: (to.y - from.y) / long } : { x: 1, y: 0 };
  const tick = ({ x, y }: ScreenPoint) => `M${x - u.y * 5} ${y + u.x * 5}L${x + u.y * 5} ${y - u.x * 5}`;
  const steep = Math.abs(u.y) > 0.7;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  return (
    <g>
      <path
        d={`M${from.x} ${from.y}L${to.x} ${to.y}${tick(from)}${tick(to)}`}
        stroke="var(--lm-picked)"
        strokeWidth={1.4}
        fill="none"
      />
      <text
        x={middle.x}
        y={middle.y + 5}
        textAnchor="middle"
        fontSize={14}
        style={RIM}
        {...(steep ? { transform: `rotate(-90 ${middle.x} ${middle.y})` } : {})}
      >
        <SvgTypeset text={text} />
      </text>
    </g>
  );
}

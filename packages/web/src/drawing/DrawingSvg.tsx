import { Text } from '@mantine/core';
import { useId } from 'react';
import type { Drawing, Role, Shape } from '@long-miter/core';
import { SvgTypeset } from '../shared/Figure.tsx';
import { useWidth } from '../shared/use-width.ts';

interface Point {
  readonly x: number;
  readonly y: number;
}

const STYLE: Readonly<Record<Role, React.SVGProps<SVGPolygonElement>>> = {
  wall: { fill: 'var(--lm-void)', stroke: 'var(--lm-wall)', strokeWidth: 1.5 },
  wood: { fill: 'var(--lm-wood)', stroke: 'var(--lm-wood-edge)', strokeWidth: 1.5 },
  'wood-other': { fill: 'var(--lm-wood-other)', stroke: 'var(--lm-wood-edge)', strokeWidth: 1.5 },
  gap: { stroke: 'var(--lm-bad)', strokeWidth: 1.5 },
  ghost: { fill: 'none', stroke: 'var(--mantine-color-dimmed)', strokeWidth: 1, strokeDasharray: '5 4' },
  fence: { fill: 'var(--lm-wall)', stroke: 'none' },
  line: { fill: 'none', stroke: 'currentColor', strokeWidth: 2 },
  guide: { fill: 'none', stroke: 'var(--mantine-color-dimmed)', strokeWidth: 1.2, strokeDasharray: '4 4' },
};

const pointsOf = (shape: Shape): readonly Point[] =>
  shape.kind === 'label' ? [shape.at] : shape.kind === 'size' ? [shape.from, shape.to] : shape.points;

/** Space around a drawing for its sizes; a small picture has none to give away. */
const marginOf = (height: number): number => (height < 200 ? 12 : 30);

/** Fits a drawing into a frame: a function from its points to the screen's. */
function fitInto(drawing: Drawing, width: number, height: number): (p: Point) => Point {
  const all = drawing.shapes.flatMap(pointsOf);
  const xs = all.map((p) => p.x);
  const ys = all.map((p) => p.y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const margin = marginOf(height);
  const scale = Math.min(
    (width - 2 * margin) / Math.max(x1 - x0, 1e-9),
    (height - 2 * margin) / Math.max(y1 - y0, 1e-9),
  );
  const left = (width - (x1 - x0) * scale) / 2;
  const top = (height - (y1 - y0) * scale) / 2;
  return ({ x, y }) => ({ x: left + (x - x0) * scale, y: top + (y1 - y) * scale });
}

const HALO: React.CSSProperties = {
  paintOrder: 'stroke',
  stroke: 'var(--lm-panel)',
  strokeWidth: 5,
  strokeLinejoin: 'round',
};

function SizeLine({ from, to, text }: { from: Point; to: Point; text: string }) {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const u = long > 0 ? { x: (to.x - from.x) / long, y: (to.y - from.y) / long } : { x: 1, y: 0 };
  const tick = ({ x, y }: Point) => `M${x - u.y * 5} ${y + u.x * 5}L${x + u.y * 5} ${y - u.x * 5}`;
  const steep = Math.abs(u.y) > 0.7;
  return (
    <g>
      <path
        d={`M${from.x} ${from.y}L${to.x} ${to.y}${tick(from)}${tick(to)}`}
        stroke="var(--lm-picked)"
        strokeWidth={1.4}
        fill="none"
      />
      <text
        x={(from.x + to.x) / 2}
        y={(from.y + to.y) / 2 + 5}
        textAnchor="middle"
        fontSize={14}
        style={HALO}
        {...(steep ? { transform: `rotate(-90 ${(from.x + to.x) / 2} ${(from.y + to.y) / 2})` } : {})}
      >
        <SvgTypeset text={text} />
      </text>
    </g>
  );
}

/** One drawing, to scale, filling the width it is given. What is open is shaded and hatched. */
export function DrawingSvg({ drawing, height }: { drawing: Drawing; height: number }) {
  const { ref, width } = useWidth();
  const hatch = useId();
  const at = fitInto(drawing, Math.max(width, 120), height);
  const path = (points: readonly Point[]): string =>
    points
      .map(at)
      .map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`)
      .join(' ');
  return (
    <figure ref={ref} style={{ margin: 0 }}>
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={drawing.title}>
          <defs>
            <pattern
              id={hatch}
              width="6"
              height="6"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="6" height="6" fill="var(--lm-bad)" opacity="0.35" />
              <line x1="0" y1="0" x2="0" y2="6" stroke="var(--lm-bad)" strokeWidth="2.4" />
            </pattern>
          </defs>
          {drawing.shapes.map((shape, index) => {
            if (shape.kind === 'area')
              return (
                <polygon
                  key={index}
                  points={path(shape.points)}
                  {...STYLE[shape.role]}
                  {...(shape.role === 'gap' ? { fill: `url(#${hatch})` } : {})}
                />
              );
            if (shape.kind === 'line')
              return <polyline key={index} points={path(shape.points)} {...STYLE[shape.role]} fill="none" />;
            if (shape.kind === 'size')
              return shape.text === '' ? null : (
                <SizeLine key={index} from={at(shape.from)} to={at(shape.to)} text={shape.text} />
              );
            const p = at(shape.at);
            return (
              <text
                key={index}
                x={p.x}
                y={p.y + 5}
                textAnchor="middle"
                fontSize={15}
                fontWeight={600}
                style={HALO}
              >
                <SvgTypeset text={shape.text} />
              </text>
            );
          })}
        </svg>
      )}
      <Text component="figcaption" size="sm" c="dimmed" ta="center">
        {drawing.title}
      </Text>
    </figure>
  );
}

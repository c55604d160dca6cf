import { Text } from '@mantine/core';
import type { Drawing } from '@long-miter/core';
import { useWidth } from '../shared/hooks/use-width.ts';
import { Painted } from './Painted.tsx';
import { translate } from '../messages/t.ts';

/** Space around a drawing for its sizes; a small picture has none to give away. */
const marginOf = (height: number): number => (height < 200 ? 12 : 30);

interface Props {
  readonly drawing: Drawing;
  readonly height: number;
  readonly margin?: number;
  /** Written under it; a picture whose title is said elsewhere has none. */
  readonly caption?: boolean;
}

/** One drawing to look at, to scale, filling the width it is given. What is open is shaded and hatched. */
export function DrawingSvg({ drawing, height, margin = marginOf(height), caption = true }: Props) {
  const { ref, width } = useWidth();
  return (
    <figure ref={ref} style={{ margin: 0 }}>
      {width > 0 && (
        <Painted drawing={drawing} width={Math.max(width, 120)} height={height} margin={margin} />
      )}
      {caption && (
        <Text component="figcaption" size="sm" c="dimmed" ta="center">
          {translate(drawing.title)}
        </Text>
      )}
    </figure>
  );
}

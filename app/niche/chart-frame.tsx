import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { cloneElement, type ReactElement, type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import { tokens } from '../theme.ts';

/** Room left and right of what is drawn, in pixels: every chart keeps it, so that a marked range falls where it should. */
export const PLOT = { left: 44, right: 10, top: 6, bottom: 20 } as const;

/** The axes bring the rest of PLOT with them. */
export const MARGIN = { top: PLOT.top, right: PLOT.right, bottom: 0, left: 0 };

/** The look of an axis. */
export const axis = {
  // All ticks are asked for by their number and have room: to find out which fit, each label would be measured.
  interval: 0,
  tick: { fontSize: 12, fill: tokens.inkSoft },
  stroke: tokens.rule,
  tickLine: false,
} as const;

const LEAST_DRAG = 4;

/**
 * A chart that answers a question. Dragging over it marks a range of its horizontal axis; a click clears it. The same
 * range can be typed above the table.
 */
export function ChartFrame({
  question,
  height,
  domain,
  range,
  onRange,
  across,
  upwards,
  note,
  children,
}: {
  question: string;
  /** What the axes show, with the unit. */
  across?: string;
  upwards?: string;
  height: number;
  domain?: readonly [number, number];
  range?: readonly [number, number] | undefined;
  onRange?: (range: readonly [number, number] | undefined) => void;
  /** Beside the title of the horizontal axis. */
  note?: string;
  /** A chart of Recharts; it is given its size. */
  children: ReactElement<{ width?: number; height?: number }>;
}) {
  const box = useRef<HTMLDivElement>(null);
  // Known in a browser only, and there before the first picture: a chart that measures itself is put together twice.
  const [width, setWidth] = useState(0);
  const [drag, setDrag] = useState<[number, number] | null>(null);
  useLayoutEffect(() => {
    const element = box.current!;
    setWidth(element.clientWidth);
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const plot = Math.max(1, width - PLOT.left - PLOT.right);
  const offsetOf = (clientX: number) => {
    const from = box.current!.getBoundingClientRect().left + PLOT.left;
    return Math.max(0, Math.min(plot, clientX - from));
  };
  const valueAt = (x: number) => domain![0] + (x / plot) * (domain![1] - domain![0]);
  const pixel = (value: number) =>
    Math.max(0, Math.min(plot, ((value - domain![0]) / (domain![1] - domain![0] || 1)) * plot));
  const shown: [number, number] | null = drag
    ? [Math.min(...drag), Math.max(...drag)]
    : range && domain
      ? [pixel(range[0]), pixel(range[1])]
      : null;
  return (
    <Box component="figure" sx={{ m: 0, minWidth: 0 }}>
      <Typography component="figcaption" variant="h3" sx={{ mb: 0.5 }}>
        {question}
      </Typography>
      {upwards && <AxisTitle>{upwards}</AxisTitle>}
      <Box
        ref={box}
        sx={{
          height,
          position: 'relative',
          userSelect: 'none',
          cursor: onRange ? 'col-resize' : 'default',
          // The last label of an axis may stand a little over the edge.
          '& svg': { overflow: 'visible' },
        }}
        onPointerDown={(event) => {
          if (!onRange || !domain || event.button !== 0) return;
          const x = offsetOf(event.clientX);
          setDrag([x, x]);
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => drag && setDrag([drag[0], offsetOf(event.clientX)])}
        onPointerUp={() => {
          if (!drag || !onRange) return;
          const [from, to] = [Math.min(...drag), Math.max(...drag)];
          setDrag(null);
          onRange(to - from < LEAST_DRAG ? undefined : [valueAt(from), valueAt(to)]);
        }}
        onPointerCancel={() => setDrag(null)}
      >
        {shown && (
          <Box
            aria-hidden
            sx={{
              position: 'absolute',
              top: PLOT.top,
              bottom: PLOT.bottom,
              bgcolor: tokens.verdigrisSoft,
              borderLeft: `1px solid ${tokens.verdigris}`,
              borderRight: `1px solid ${tokens.verdigris}`,
              pointerEvents: 'none',
            }}
            style={{ left: PLOT.left + shown[0], width: Math.max(1, shown[1] - shown[0]) }}
          />
        )}
        {width > 0 && cloneElement(children, { width, height })}
      </Box>
      {across && (
        <AxisTitle right>
          {note && `${note} `}
          {across}
        </AxisTitle>
      )}
    </Box>
  );
}

/** What an axis shows. */
const AxisTitle = ({ children, right = false }: { children: ReactNode; right?: boolean }) => (
  <Typography
    variant="caption"
    component="div"
    noWrap
    sx={{ fontSize: 11, lineHeight: '14px', ...(right ? { textAlign: 'right', pr: '10px' } : {}) }}
  >
    {children}
  </Typography>
);

/** Words in a box beside the pointer. */
export function ChartTooltip({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        p: 1.5,
        fontSize: 13,
        maxWidth: 240,
      }}
    >
      {children}
    </Box>
  );
}

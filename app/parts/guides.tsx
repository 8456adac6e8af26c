import { useId } from 'react';
import type { Rect } from '#core/print/index.ts';
import { tokens } from '../theme.ts';

interface GuidesProps {
  /** The sheet in points; the guides fill their box. */
  sheet: { width: number; height: number };
  trims: Rect[];
  safes: Rect[];
  folds?: number[];
  barcode?: Rect;
}

/** Bleed as slanted hatching, trim in woad, the safe area dashed in verdigris, the barcode box crossed. A view only: no file ever has them. */
export function Guides({ sheet, trims, safes, folds = [], barcode }: GuidesProps) {
  const id = useId();
  const outer = `M0 0H${sheet.width}V${sheet.height}H0Z`;
  const left = Math.min(...trims.map((trim) => trim.x));
  const right = Math.max(...trims.map((trim) => trim.x + trim.width));
  const [first] = trims;
  const inner = first ? `M${left} ${first.y}V${first.y + first.height}H${right}V${first.y}Z` : '';
  return (
    <svg
      viewBox={`0 0 ${sheet.width} ${sheet.height}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
    >
      <defs>
        <pattern id={id} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" stroke={tokens.woad} strokeWidth="1.4" opacity="0.7" />
        </pattern>
      </defs>
      <path d={outer + inner} fill={`url(#${id})`} fillRule="evenodd" />
      {trims.map((rect) => (
        <rect
          key={`t${rect.x}`}
          {...rect}
          fill="none"
          stroke={tokens.woad}
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {folds.map((x) => (
        <line
          key={x}
          x1={x}
          x2={x}
          y1={first?.y ?? 0}
          y2={(first?.y ?? 0) + (first?.height ?? 0)}
          stroke={tokens.woad}
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {safes.map((rect) => (
        <rect
          key={`s${rect.x}`}
          {...rect}
          fill="none"
          stroke="#3fa79f"
          strokeWidth="1.2"
          strokeDasharray="5 4"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {barcode && (
        <g stroke={tokens.weld} strokeWidth="1" fill="none">
          <rect {...barcode} vectorEffect="non-scaling-stroke" />
          <path
            d={`M${barcode.x} ${barcode.y}l${barcode.width} ${barcode.height}M${barcode.x + barcode.width} ${barcode.y}l${-barcode.width} ${barcode.height}`}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      )}
    </svg>
  );
}

/** What the guides mean. */
export function GuidesLegend({ barcode = false }: { barcode?: boolean }) {
  const parts = ['▨ bleed, cut away', '─ trim', '┄ safe area', ...(barcode ? ['☒ barcode, keep clear'] : [])];
  return <>{parts.join('   ')}</>;
}

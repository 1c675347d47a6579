import { NATURE_LABEL, type Nature } from '@plinth/core';
import { Patterns } from './DrawingView';
import { PATTERNS } from '@plinth/core';

/** The hue and hatch of a nature, as it stands in legends and tables. */
export function NatureMark({ nature }: { nature: Nature }) {
  const prefix = `n${nature}-`;
  return (
    <svg width="18" height="10" className="inline-block align-baseline" aria-hidden>
      <Patterns prefix={prefix} />
      <rect
        width="18"
        height="10"
        fill={PATTERNS[nature] ? `url(#${prefix}${nature})` : `var(--n-${nature})`}
        stroke={`var(--n-${nature})`}
        strokeWidth="1"
      />
    </svg>
  );
}

export function NatureLegend({ natures }: { natures: readonly Nature[] }) {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-[12px] text-soft">
      {natures.map((nature) => (
        <li key={nature} className="flex items-center gap-1.5">
          <NatureMark nature={nature} /> {NATURE_LABEL[nature]}
        </li>
      ))}
    </ul>
  );
}

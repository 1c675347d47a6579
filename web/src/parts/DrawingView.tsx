import { useId, type KeyboardEvent } from 'react';
import { arrowPoints, bandPath, PATTERNS, pointList, type Drawing, type Fill, type Mark, type Pen } from '@plinth/core';

const PEN: Record<Exclude<Pen, 'none'>, string> = { ink: 'var(--ink)', soft: 'var(--soft)', faint: 'var(--faint)', accent: 'var(--oxide)' };

const FILL: Record<Exclude<Fill, 'none'>, string> = {
  permanent: 'var(--n-permanent)',
  superimposed: 'var(--n-superimposed)',
  imposed: 'var(--n-imposed)',
  roofImposed: 'var(--n-roofImposed)',
  snow: 'var(--n-snow)',
  wind: 'var(--n-wind)',
  temperature: 'var(--n-temperature)',
  seismic: 'var(--n-seismic)',
  accidental: 'var(--n-accidental)',
  settlement: 'var(--n-settlement)',
  paper: 'var(--panel)',
  accentWash: 'var(--oxide-wash)',
  concrete: 'var(--f-concrete)',
  steel: 'var(--f-steel)',
  ground: 'var(--f-ground)',
  masonry: 'var(--f-masonry)',
  floor: 'var(--f-floor)',
  ink: 'var(--ink)',
  accent: 'var(--oxide)',
};

const penOf = (pen: Pen | undefined) => (pen === undefined || pen === 'none' ? 'none' : PEN[pen]);

/** Hatches of the natures and materials, once a drawing. */
export function Patterns({ prefix }: { prefix: string }) {
  return (
    <defs>
      {Object.entries(PATTERNS).map(([name, { wash, mark }]) => (
        <pattern key={name} id={`${prefix}${name}`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="scale(0.75)">
          <rect width="8" height="8" fill="var(--panel)" />
          <rect width="8" height="8" fill={FILL[name as Exclude<Fill, 'none'>]} opacity={wash} />
          <g
            stroke={FILL[name as Exclude<Fill, 'none'>]}
            fill={mark.includes('circle') ? FILL[name as Exclude<Fill, 'none'>] : 'none'}
            strokeWidth={mark.includes('circle') ? 0 : undefined}
            dangerouslySetInnerHTML={{ __html: mark }}
          />
        </pattern>
      ))}
    </defs>
  );
}

function fillOf(fill: Fill, prefix: string): string {
  if (fill === 'none') return 'none';
  return PATTERNS[fill] && fill !== 'concrete' ? `url(#${prefix}${fill})` : FILL[fill];
}

function Shape({ mark, prefix }: { mark: Mark; prefix: string }) {
  switch (mark.type) {
    case 'line': {
      const ends = mark.arrow === 'both' ? (['start', 'end'] as const) : mark.arrow ? [mark.arrow] : [];
      return (
        <>
          <polyline
            points={pointList(mark.points)}
            fill="none"
            stroke={penOf(mark.pen)}
            strokeWidth={mark.width ?? 1}
            strokeDasharray={mark.dash?.join(' ')}
          />
          {mark.item ? <polyline points={pointList(mark.points)} fill="none" stroke="transparent" strokeWidth={12} /> : null}
          {ends.map((end) => (
            <polygon key={end} points={pointList(arrowPoints(mark.points, end))} fill={penOf(mark.pen)} />
          ))}
        </>
      );
    }
    case 'area':
      return (
        <polygon
          points={pointList(mark.points)}
          fill={fillOf(mark.fill, prefix)}
          stroke={penOf(mark.pen)}
          strokeWidth={mark.width ?? 1}
          strokeDasharray={mark.dash?.join(' ')}
          opacity={mark.opacity}
        />
      );
    case 'band':
      return (
        <path d={bandPath(mark)} fill={fillOf(mark.fill, prefix)} opacity={mark.opacity}>
          {mark.title ? <title>{mark.title}</title> : null}
        </path>
      );
    case 'circle':
      return (
        <circle
          cx={mark.x}
          cy={mark.y}
          r={mark.r}
          fill={fillOf(mark.fill, prefix)}
          stroke={penOf(mark.pen ?? 'ink')}
          strokeDasharray={mark.dash?.join(' ')}
        />
      );
    case 'text':
      return (
        <text
          x={mark.x}
          y={mark.y}
          fontSize={mark.size ?? 11}
          textAnchor={mark.anchor ?? 'start'}
          fill={penOf(mark.pen ?? 'ink')}
          fontWeight={mark.bold ? 600 : undefined}
          transform={mark.rotate ? `rotate(${mark.rotate} ${mark.x} ${mark.y})` : undefined}
          {...(mark.halo ? { stroke: 'var(--chalk)', strokeWidth: 3, paintOrder: 'stroke', strokeLinejoin: 'round' as const } : {})}
        >
          {mark.text}
        </text>
      );
  }
}

export interface DrawingViewProps {
  readonly drawing: Drawing;
  readonly onPick?: (item: string) => void;
  readonly nameOf?: (item: string) => string;
  readonly onKeyDown?: (event: KeyboardEvent<SVGSVGElement>) => void;
  readonly className?: string;
}

/** Shows a drawing. With `onPick` the members in it can be chosen by mouse and by keyboard, each once, under its name. */
export function DrawingView({ drawing, onPick, nameOf, onKeyDown, className }: DrawingViewProps) {
  const prefix = `p${useId().replace(/[^a-zA-Z0-9]/g, '')}-`;
  const named = new Set<string>();
  // a mark is known by its member, its type and its turn among those: drawn again it is the same element, and keeps the focus
  const counts = new Map<string, number>();
  const keyOf = ({ item, type }: Mark) => {
    const whose = `${item ?? ''} ${type}`;
    const count = counts.get(whose) ?? 0;
    counts.set(whose, count + 1);
    return `${whose} ${count}`;
  };
  return (
    <svg
      className={`draw ${className ?? ''}`}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      role={onPick ? 'group' : 'img'}
      aria-label={drawing.title}
      onKeyDown={onKeyDown}
    >
      <Patterns prefix={prefix} />
      {drawing.marks.map((mark) => {
        const { item } = mark;
        const key = keyOf(mark);
        if (!item || !onPick) return <Shape key={key} mark={mark} prefix={prefix} />;
        const first = mark.type !== 'band' && mark.type !== 'text' && !named.has(item);
        if (first) named.add(item);
        const pick = () => onPick(item);
        return (
          <g
            key={key}
            data-pick={item}
            onClick={pick}
            style={{ cursor: 'pointer' }}
            {...(first
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-label': nameOf?.(item) ?? item,
                  'data-item': item,
                  onKeyDown: (event: KeyboardEvent) => {
                    if (event.key !== 'Enter' && event.key !== ' ') return;
                    event.preventDefault();
                    pick();
                  },
                }
              : { 'aria-hidden': true })}
          >
            <Shape mark={mark} prefix={prefix} />
          </g>
        );
      })}
    </svg>
  );
}

import { caseIn, formatQuantity, isPermanent, lesserAlternatives, type ByCase, type LoadCases } from '@plinth/core';
import { useProject, useShownLevel, useView } from '../project/context';

const WIDTH = 132;
/** Where the bar begins, right of the names. */
const BAR = 68;

/** Permanent, and variable load that may be there at once. */
function halves(byCase: ByCase, cases: LoadCases): { permanent: number; variable: number } {
  let [permanent, variable] = [0, 0];
  const lesser = lesserAlternatives(byCase, cases);
  for (const id in byCase) {
    if (lesser.has(id)) continue;
    if (isPermanent(caseIn(cases, id).nature)) permanent += byCase[id]!;
    else variable += byCase[id]!;
  }
  return { permanent, variable };
}

/**
 * The building as a vertical line: it thickens downward with the unfactored load that passes below each level, permanent
 * beside variable. A level is shown in every room by choosing it here.
 */
export function Plumb() {
  const { computed, building, units } = useProject();
  const { showLevel } = useView();
  const shown = useShownLevel();
  const levels = computed.takedown.plumb;
  if (levels.length === 0) return null;
  const totals = levels.map(({ byCase }) => halves(byCase, building.cases));
  const heaviest = Math.max(1, ...totals.map((t) => t.permanent + t.variable));
  const scale = 46 / heaviest;
  // many levels stand closer, without their elevation, and scroll when even so there is no room
  const pitch = levels.length > 1 ? Math.max(36, 400 / (levels.length - 1)) : 0;
  const height = 70 + pitch * Math.max(0, levels.length - 1);
  const close = pitch > 0 && pitch < 56;
  return (
    <nav
      aria-label="Levels"
      className="no-print flex w-[132px] shrink-0 flex-col overflow-x-hidden overflow-y-auto border-r border-rule px-2 py-3"
    >
      <h2 className="label">The plumb</h2>
      <div className="relative mt-3 shrink-0" style={{ height }}>
        <svg width={WIDTH - 16} height={height} className="absolute inset-0" aria-hidden>
          <defs>
            <pattern id="plumb-variable" width="6" height="6" patternUnits="userSpaceOnUse">
              <rect width="6" height="6" fill="var(--n-imposed)" opacity="0.3" />
              <path d="M-1 1L1 -1M0 6L6 0M5 7L7 5" stroke="var(--n-imposed)" strokeWidth="1.1" />
            </pattern>
          </defs>
          {levels.map((entry, i) => {
            const y = 14 + i * pitch;
            const total = totals[i]!;
            const drop = i + 1 < levels.length ? pitch : 22;
            const [p, v] = [total.permanent * scale, total.variable * scale];
            return (
              <g key={entry.level}>
                <rect x={BAR} y={y} width={Math.max(0, p)} height={drop} fill="var(--n-permanent)" />
                <rect x={BAR + Math.max(0, p)} y={y} width={Math.max(0, v)} height={drop} fill="url(#plumb-variable)" />
                <line
                  x1="0"
                  x2={WIDTH - 16}
                  y1={y}
                  y2={y}
                  stroke={entry.level === shown ? 'var(--oxide)' : 'var(--faint)'}
                  strokeWidth={entry.level === shown ? 2 : 1}
                />
              </g>
            );
          })}
        </svg>
        {levels.map((entry, i) => {
          const total = totals[i]!;
          const chosen = entry.level === shown;
          return (
            <button
              key={entry.level}
              type="button"
              aria-pressed={chosen}
              onClick={() => showLevel(entry.level)}
              title={`${entry.name}, ${formatQuantity(entry.elevation, 'position', units, { figures: 4 })}`}
              className="absolute left-0 w-full text-left"
              style={{ top: i * pitch - 6 }}
            >
              <span className={`block max-w-[66px] truncate text-[12.5px] ${chosen ? 'font-bold text-oxide' : 'font-semibold'}`}>
                {entry.name}
              </span>
              {close ? null : (
                <span className="mt-[3px] block text-[11px] text-soft">
                  {entry.elevation > 0 ? '+' : ''}
                  {formatQuantity(entry.elevation, 'position', units, { figures: 3 })}
                </span>
              )}
              <span className={close ? 'mt-1 block text-[11.5px] leading-3 text-soft' : 'block text-[13px] font-semibold'}>
                {formatQuantity(total.permanent + total.variable, 'force', units, { figures: 4, bare: true })}
              </span>
            </button>
          );
        })}
      </div>
      <p className="mt-2 text-[11px] text-soft">
        {units === 'SI' ? 'kN' : 'kip'} below each level, unfactored: permanent solid, variable hatched
        {building.hangers.size > 0 ? ', hangers counted against' : ''}
      </p>
    </nav>
  );
}

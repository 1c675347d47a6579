import { useMemo, useState, type KeyboardEvent, type ReactNode } from 'react';
import {
  caseIn,
  gather,
  gatheredRiver,
  heaviestOnGround,
  isPermanent,
  lesserAlternatives,
  markOf,
  onlyMembers,
  pathOf,
  riverDrawing,
  riverLayout,
  STANDARDS,
  unitLabel,
  type Combination,
  type Nature,
} from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { SaveSvg } from '../../parts/SaveSvg';
import { NatureLegend } from '../../parts/NatureMark';
import { useSize } from '../../parts/useSize';
import { useProject, useView } from '../../project/context';

/** From so many members on the river shows one path at a time. */
const LARGE = 150;

/** Before the id of a single case that is shown: one is called permanent, as the sum of what is. */
const ONE = 'case:';

type Show = 'all' | 'permanent' | 'variable' | string;

/** The load river; arrow keys walk along the path. */
export function River({ views }: { views: ReactNode }) {
  const { building, computed, brief, units } = useProject();
  const { selected, select } = useView();
  const [show, setShow] = useState<Show>('all');
  const { takedown: whole } = computed;
  // a large building is shown along one path: that of what is selected, or of what presses hardest on the ground
  const large = whole.members.size > LARGE;
  const [gathered, setGathered] = useState(true);
  const opened = selected !== null && whole.members.has(selected) ? selected : null;
  // a large building is gathered by level and role until a group or a member is opened
  const isGathered = large && gathered && opened === null;
  const [onlyPath, setOnlyPath] = useState(false);
  const middle = large ? (isGathered ? null : (opened ?? heaviestOnGround(whole))) : onlyPath ? opened : null;
  const takedown = useMemo(() => (middle === null ? whole : onlyMembers(whole, pathOf(whole, middle))), [whole, middle]);
  const { ref, width, height } = useSize<HTMLDivElement>(756, 600);

  const combinations = useMemo((): Combination[] => {
    const standard = STANDARDS[brief.family];
    const { rules } = standard.loads.philosophies.find((philosophy) => philosophy.id === brief.combinationRule)!;
    return rules.strength(takedown.cases);
  }, [brief.family, brief.combinationRule, takedown]);

  const factor = useMemo(() => {
    const combination = combinations.find((candidate) => candidate.id === show);
    if (show.startsWith(ONE)) return (id: string) => (ONE + id === show ? 1 : 0);
    const permanent = (id: string) => isPermanent(caseIn(building.cases, id).nature);
    // of alternatives the largest is shown
    const lesser = lesserAlternatives(
      Object.fromEntries(whole.balance.map((line) => [line.loadCase.id, line.applied.force])),
      building.cases,
    );
    return (id: string) => {
      if (lesser.has(id)) return 0;
      if (combination) return combination.factors[id] ?? 0;
      return show === 'all' || permanent(id) === (show === 'permanent') ? 1 : 0;
    };
  }, [combinations, show, building.cases, whole]);

  const drawing = useMemo(
    () => (isGathered ? gatheredRiver : riverDrawing)({ building, takedown, selected, factor, width, height }),
    [building, takedown, selected, factor, width, height, isGathered],
  );
  const natures = [...new Set(takedown.cases.map((loadCase) => loadCase.nature))] as Nature[];

  /** Down: to what carries it most; up: to what brings it most; left and right: to the neighbour on its level. */
  const walk = (event: KeyboardEvent) => {
    if (!['ArrowDown', 'ArrowUp', 'ArrowLeft', 'ArrowRight'].includes(event.key)) return;
    event.preventDefault();
    const ledger = selected ? takedown.members.get(selected) : undefined;
    if (!ledger) {
      const first = takedown.order[0];
      if (first) go(first);
      return;
    }
    const size = (byCase: Readonly<Record<string, number>>) => Object.values(byCase).reduce((sum, value) => sum + Math.abs(value), 0);
    if (event.key === 'ArrowDown') {
      const next = [...ledger.leaves]
        .filter((leave) => leave.to && takedown.members.has(leave.to))
        .sort((a, b) => size(b.byCase) - size(a.byCase))[0];
      if (next) go(next.to!);
    } else if (event.key === 'ArrowUp') {
      const from = ledger.arrivals.flatMap((arrival) =>
        arrival.source.type === 'member' ? [{ id: arrival.source.member, size: size(arrival.byCase) }] : [],
      );
      const next = from.sort((a, b) => b.size - a.size)[0];
      if (next) go(next.id);
    } else {
      const nodes = riverLayout({ building, takedown, width, height });
      const here = nodes.get(ledger.id)!;
      const row = [...nodes.values()]
        .filter((node) => node.kind === here.kind && Math.abs(node.y - here.y) < 45)
        .sort((a, b) => a.x1 + a.x2 - b.x1 - b.x2);
      const next = row[row.findIndex((node) => node.id === here.id) + (event.key === 'ArrowRight' ? 1 : -1)];
      if (next) go(next.id);
    }
  };
  /** Opens a group at the member that carries most. */
  const openGroup = (id: string) => {
    const group = gather({ building, takedown: whole }).find((candidate) => candidate.id === id);
    if (group) select(group.heaviest);
  };
  const groupName = (id: string) => {
    const [level, role] = id.split('|');
    return `${role} of ${building.levels.find((entry) => entry.id === level)?.body.name ?? level}`;
  };
  const go = (id: string) => {
    select(id);
    requestAnimationFrame(() => document.querySelector<SVGElement>(`[data-item="${CSS.escape(id)}"]`)?.focus());
  };

  /** A single case or combination is shown, not one of the three sums. */
  const isOne = show.startsWith(ONE) || combinations.some(({ id }) => id === show);
  const choices: { value: Show; label: string }[] = [
    { value: 'permanent', label: 'Permanent' },
    { value: 'variable', label: 'Variable' },
    { value: 'all', label: 'All, unfactored' },
  ];
  return (
    <div className="flex min-w-0 flex-1 flex-col px-4 pt-2">
      <div className="flex items-baseline gap-4">
        <h1 className="text-[17px] font-bold whitespace-nowrap">Load river</h1>
        <span className="flex-1" />
        {large && !isGathered ? (
          <button
            type="button"
            className="btn-line text-[13px] whitespace-nowrap"
            onClick={() => {
              setGathered(true);
              select(null);
            }}
          >
            gather all
          </button>
        ) : null}
        {views}
        <div className="flex border border-faint text-[13px]" role="group" aria-label="What is shown">
          {choices.map(({ value, label }) => (
            <button
              key={value}
              type="button"
              aria-pressed={show === value}
              className={`px-2 py-0.5 whitespace-nowrap ${show === value ? 'bg-wash font-semibold' : 'text-soft'}`}
              onClick={() => setShow(value)}
            >
              {label}
            </button>
          ))}
          <label>
            <span className="sr-only">A case or a combination</span>
            <select
              className={`max-w-[160px] bg-transparent px-1 py-0.5 ${isOne ? 'font-semibold' : 'text-soft'}`}
              value={isOne ? show : ''}
              onChange={(event) => setShow(event.target.value || 'all')}
            >
              <option value="">case or combination…</option>
              <optgroup label="One case, unfactored">
                {whole.cases.map((loadCase) => (
                  <option key={loadCase.id} value={ONE + loadCase.id}>
                    {loadCase.name}
                  </option>
                ))}
              </optgroup>
              <optgroup label="Combinations">
                {combinations.map((combination) => (
                  <option key={combination.id} value={combination.id}>
                    {combination.name}
                  </option>
                ))}
              </optgroup>
            </select>
          </label>
        </div>
      </div>
      <div className="flex items-baseline gap-4 text-[12.5px] text-soft">
        <p className="min-w-0 flex-1 truncate">
          {middle === null
            ? isGathered
              ? 'gathered: open a bar'
              : `what reaches the ground [${unitLabel('force', units)}], and by which way`
            : `the path of ${markOf(building, middle)}, ${takedown.members.size} of ${whole.members.size} members`}
        </p>
        {!large && opened !== null ? (
          <button type="button" className="btn-line whitespace-nowrap" aria-pressed={onlyPath} onClick={() => setOnlyPath(!onlyPath)}>
            {onlyPath ? 'whole building' : 'only its path'}
          </button>
        ) : null}
      </div>
      <div ref={ref} className="min-h-0 flex-1 overflow-hidden">
        <DrawingView
          drawing={drawing}
          onPick={(id) => (isGathered ? openGroup(id) : select(id))}
          nameOf={(id) => (isGathered ? groupName(id) : markOf(building, id))}
          onKeyDown={isGathered ? undefined : walk}
        />
      </div>
      <div className="flex items-center justify-between pb-2">
        <NatureLegend natures={natures} />
        <span className="text-[12px] text-soft">
          width of band: force; arrow keys walk the path · <SaveSvg drawing={drawing} name="load-river" />
        </span>
      </div>
    </div>
  );
}

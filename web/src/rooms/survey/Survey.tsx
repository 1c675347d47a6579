import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { extentOf, isPlaced, marksOf, planExtent, sheetCorners, type Item, type PlanExtent, type PlanView } from '@plinth/core';
import { useItems, useProject, useAllItems, useShownLevel, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { Levels } from '../brief/Levels';
import { Inspector } from './Inspector';
import { LayDrawing } from './LayDrawing';
import { copiedItems, makeItem, newLoad, onLevel } from './make';
import { MemberTable } from './MemberTable';
import type { StatusFilter } from './place';
import { PlanBoard } from './PlanBoard';
import { SURVEY_KINDS, TABLE_KINDS, type TableKind } from './kinds';
import { TableMenu, useScheduleReading } from './TableMenu';

const ModelView = lazy(() => import('./ModelView'));

const TABS = [...TABLE_KINDS.map((kind) => ({ kind, title: SURVEY_KINDS[kind].title })), { kind: 'level', title: 'Levels' }] as const;

/** A plan to draw on, and the same members as an editable table beneath it. */
export function SurveyRoom() {
  const { building, units } = useProject();
  const { selected, select } = useView();
  const { put, quietly } = useEdit();
  const [tab, setTab] = useState<TableKind | 'level'>('beam');
  const [several, setSeveral] = useState<ReadonlySet<string>>(new Set());
  const [view, setView] = useState<PlanView | PlanExtent | null>(null);
  const [status, setStatus] = useState<StatusFilter>('every');
  const [inSpace, setInSpace] = useState(false);
  const [above, setAbove] = useState(false);
  const [below, setBelow] = useState(false);
  const table: TableKind = tab === 'level' ? 'beam' : tab;
  const shown = useShownLevel() ?? '';
  const index = building.levels.findIndex((entry) => entry.id === shown);
  const [over, under] = [building.levels[index - 1]?.id, building.levels[index + 1]?.id];
  const ghosts = useMemo(
    () => [above ? over : undefined, below ? under : undefined].filter((id): id is string => id !== undefined),
    [above, below, over, under],
  );
  const levelName = building.levels[index]?.body.name ?? '';

  const { read, question } = useScheduleReading(tab, shown);

  const choose = (ids: readonly string[]) => {
    setSeveral(ids.length > 1 ? new Set(ids) : new Set());
    select(ids.length === 1 ? ids[0]! : null);
  };

  const centre = () => {
    const { left, right, low, high } = planExtent(building);
    return view && 'scale' in view ? { x: view.x, y: view.y } : { x: (left + right) / 2, y: (low + high) / 2 };
  };
  const add = () => {
    const metre = units === 'SI' ? 1000 : 304.8;
    const at = (x: number, y: number) => ({ x: x * metre, y: y * metre });
    const item =
      table === 'load'
        ? newLoad(building, selected && (building.beams.has(selected) || building.walls.has(selected)) ? selected : null)
        : isPlaced(table)
          ? makeItem(building, table, shown, table === 'panel' ? [at(0, 0), at(4, 0), at(4, 6), at(0, 6)] : [at(0, 0), at(6, 0)])
          : null;
    if (item) quietly(put([item], SURVEY_KINDS[table].add!.replace('Add', 'Added')).then(() => choose([item.id])));
  };

  if (building.levels.length < 2)
    return (
      <div className="p-10">
        <h1 className="text-xl font-bold">Survey</h1>
        <p className="mt-2 max-w-lg">
          Members stand between levels, and there is only one.{' '}
          <Link className="btn-line" to="../brief">
            Go to Brief
          </Link>{' '}
          and add the levels of the building from the ground up; then place columns, beams and footings here.
        </p>
      </div>
    );

  const noAdd = (table === 'load' && building.beams.size === 0) || (table === 'panel' && building.buildUps.size === 0);
  return (
    <>
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex items-baseline gap-2 px-4 pt-1.5">
          <h1 className="min-w-0 truncate text-[17px] font-bold" title={`Survey, plan of ${levelName}`}>
            <span className="sr-only">Survey, </span>
            <span className="text-[13px] font-normal text-soft">plan of </span>
            {levelName}
          </h1>
          <span className="flex-1" />
          <LevelSteps shown={shown} over={over} under={under} />
          <fieldset className="flex gap-1.5 text-[12.5px] whitespace-nowrap">
            <legend className="sr-only">Seen through: the level above, the level below</legend>
            <span aria-hidden="true" className="text-soft">
              see
            </span>
            {over ? (
              <label className="flex items-center gap-1">
                <input type="checkbox" className="accent-oxide" checked={above} onChange={(event) => setAbove(event.target.checked)} />
                above
              </label>
            ) : null}
            {under ? (
              <label className="flex items-center gap-1">
                <input type="checkbox" className="accent-oxide" checked={below} onChange={(event) => setBelow(event.target.checked)} />
                below
              </label>
            ) : null}
          </fieldset>
          <select
            className="field w-[86px] shrink-0 text-[12.5px]"
            aria-label="Items shown"
            value={status}
            onChange={(event) => setStatus(event.target.value as StatusFilter)}
          >
            <option value="every">all items</option>
            <option value="new">new</option>
            <option value="existing">existing</option>
            <option value="removed">removed</option>
          </select>
          <CopyLevel from={shown} />
          <button
            type="button"
            className="btn-line text-[12.5px] whitespace-nowrap"
            aria-pressed={inSpace}
            onClick={() => setInSpace(!inSpace)}
          >
            {inSpace ? 'plan' : 'in space'}
          </button>
          <LayDrawing
            level={shown}
            centre={centre}
            laid={(id, body) => {
              choose([id]);
              setTab('drawing');
              // a sheet that nobody sees has not been laid
              setView(extentOf(sheetCorners(body)));
            }}
          />
        </div>
        {inSpace ? (
          <Suspense fallback={<p className="min-h-0 flex-[6] p-6 text-soft">Setting up the frame…</p>}>
            <ModelView />
          </Suspense>
        ) : (
          <PlanBoard
            key={shown}
            level={shown}
            ghosts={ghosts}
            chosen={several}
            choose={choose}
            ownView={view}
            setView={setView}
            status={status}
          />
        )}
        <div className="flex min-h-[39px] items-center border-y border-rule px-4 py-1">
          <div className="flex min-w-0 flex-1 overflow-x-auto" role="tablist" aria-label="Schedules">
            {TABS.map(({ kind, title }) => (
              <button
                key={kind}
                type="button"
                role="tab"
                aria-selected={tab === kind}
                className={`px-[3.5px] text-[12px] whitespace-nowrap ${tab === kind ? 'border-b-2 border-oxide font-semibold' : 'text-soft'}`}
                onClick={() => setTab(kind)}
              >
                {title}
              </button>
            ))}
          </div>
          <TableMenu kind={tab} level={shown} read={read} />
          {tab === 'level' || SURVEY_KINDS[table].add === null ? null : (
            <button type="button" className="btn btn-main whitespace-nowrap" onClick={add} disabled={noAdd}>
              {SURVEY_KINDS[table].add}
            </button>
          )}
        </div>
        <div
          className="min-h-0 flex-[3] overflow-auto px-4"
          tabIndex={0}
          role="region"
          aria-label="Schedule"
          onPaste={(event) => {
            const pasted = event.clipboardData.getData('text/plain');
            // one word belongs into the cell that it is pasted into; rows and columns are a schedule
            if (!/[\t\n]/.test(pasted.trim())) return;
            event.preventDefault();
            read(pasted);
          }}
        >
          {tab === 'level' ? <Levels /> : <MemberTable kind={tab} level={shown} status={status} />}
        </div>
      </div>
      <Inspector several={several} />
      {question}
    </>
  );
}

/** One level up, one level down, from beside the plan. */
function LevelSteps({ shown, over, under }: { shown: string; over: string | undefined; under: string | undefined }) {
  const { building } = useProject();
  const { showLevel } = useView();
  return (
    <label className="flex items-center gap-1 text-[12.5px]">
      <span className="sr-only">Level</span>
      <button
        type="button"
        className="px-1 disabled:opacity-30"
        disabled={!over}
        aria-label="Level above"
        onClick={() => over && showLevel(over)}
      >
        ▲
      </button>
      <select className="field w-24" value={shown} onChange={(event) => showLevel(event.target.value)} aria-label="Level shown">
        {building.levels.map(({ id, body }) => (
          <option key={id} value={id}>
            {body.name}
          </option>
        ))}
      </select>
      <button
        type="button"
        className="px-1 disabled:opacity-30"
        disabled={!under}
        aria-label="Level below"
        onClick={() => under && showLevel(under)}
      >
        ▼
      </button>
    </label>
  );
}

/** Brings what stands on a level to another one. */
function CopyLevel({ from }: { from: string }) {
  const { building } = useProject();
  const items = useAllItems();
  const { showLevel } = useView();
  const { put, quietly } = useEdit();
  const panels = useItems('panel');
  const others = building.levels.filter((entry) => entry.id !== from);
  const copy = (to: string) => {
    const moved = [...items.values()].flatMap((stored) => {
      const item = onLevel(building, { id: stored.id, kind: stored.kind, body: stored.body } as Item, from, to);
      return item ? [item] : [];
    });
    const copies = copiedItems(moved, building.loads, marksOf(building), 0, 0);
    const name = building.levels.find((entry) => entry.id === to)!.body.name;
    if (copies.length > 0) quietly(put(copies, `${copies.length} items copied to ${name}`).then(() => showLevel(to)));
  };
  const isEmpty = panels.length === 0 && building.beams.size === 0;
  return (
    <select
      className="field w-[104px] shrink-0 text-[12.5px]"
      value=""
      disabled={isEmpty}
      aria-label="Copy this level to"
      onChange={(event) => copy(event.target.value)}
    >
      <option value="">Copy level…</option>
      {others.map(({ id, body }) => (
        <option key={id} value={id}>
          {body.name}
        </option>
      ))}
    </select>
  );
}

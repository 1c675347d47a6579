import { useMemo, useState } from 'react';
import { markOf, planDrawing, type Item } from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { SaveSvg } from '../../parts/SaveSvg';
import { useSize } from '../../parts/useSize';
import { useProject, useView } from '../../project/context';
import { freshId, nextMark, useEdit } from '../../project/useEdit';
import { Levels } from '../brief/Levels';
import { Inspector } from './Inspector';
import { MemberTable, TABLES, type TableKind } from './MemberTable';
import { candidatesAt } from './place';

const ADD: Record<TableKind, string> = {
  beam: 'Add a beam',
  column: 'Add a column',
  wall: 'Add a wall',
  hanger: 'Add a hanger',
  footing: 'Add a footing',
  load: 'Add a load',
};

const TABS = [...TABLES, { kind: 'level', title: 'Levels' }] as const;

/** Levels and members as an editable table beside a plan drawn to scale from them. */
export function SurveyRoom() {
  const { building, computed, units } = useProject();
  const { selected, select, level } = useView();
  const { put, quietly } = useEdit();
  const [tab, setTab] = useState<TableKind | 'level'>('beam');
  const table: TableKind = tab === 'level' ? 'beam' : tab;
  const shown = level ?? building.levels[0]?.id ?? '';
  const { ref, width, height } = useSize<HTMLDivElement>(788, 360);
  const drawing = useMemo(
    () =>
      planDrawing({
        building,
        level: shown,
        selected,
        transfers: new Set([...computed.takedown.members.values()].filter((member) => member.transfer).map((member) => member.id)),
        width,
        height,
      }),
    [building, computed, shown, selected, width, height],
  );
  const levelName = building.levels.find((entry) => entry.id === shown)?.body.name ?? '';
  const below = building.levels[building.levels.findIndex((entry) => entry.id === shown) + 1]?.id ?? shown;

  const add = () => {
    const marks = [
      ...building.beams.values(),
      ...building.columns.values(),
      ...building.walls.values(),
      ...building.hangers.values(),
      ...building.footings.values(),
    ].map((member) => member.mark);
    const metre = units === 'SI' ? 1000 : 304.8;
    const id = freshId(table);
    const common = { status: 'new', note: '' } as const;
    const make = (): Item | null => {
      switch (table) {
        case 'beam': {
          const from = { x: 0, y: 0 };
          const to = { x: 6 * metre, y: 0 };
          const by = (point: { x: number; y: number }) => candidatesAt(building, shown, point, id)[0]?.id ?? null;
          return {
            id,
            kind: 'beam',
            body: {
              ...common,
              mark: nextMark('B', marks),
              level: shown,
              from,
              to,
              role: 'beam',
              section: null,
              grade: null,
              ownWeight: 0.5,
              supports: [
                { at: 0, by: by(from), holdsDown: false },
                { at: 6 * metre, by: by(to), holdsDown: false },
              ],
              hinges: [],
              strips: [],
              restraint: 'supports',
              restraintPoints: [],
            },
          };
        }
        case 'column':
          return {
            id,
            kind: 'column',
            body: {
              ...common,
              mark: nextMark('C', marks),
              at: { x: 0, y: 0 },
              base: below,
              top: shown,
              by: null,
              section: null,
              grade: null,
              ownWeight: 0.5,
              factorY: 1,
              factorZ: 1,
            },
          };
        case 'wall':
          return {
            id,
            kind: 'wall',
            body: {
              ...common,
              mark: nextMark('W', marks),
              from: { x: 0, y: 0 },
              to: { x: 3 * metre, y: 0 },
              base: below,
              top: shown,
              weight: 0.004,
              construction: '',
              by: null,
            },
          };
        case 'hanger':
          return {
            id,
            kind: 'hanger',
            body: { ...common, mark: nextMark('R', marks), at: { x: 0, y: 0 }, top: shown, base: below, by: null, ownWeight: 0.03 },
          };
        case 'footing':
          return {
            id,
            kind: 'footing',
            body: {
              ...common,
              mark: nextMark('F', marks),
              at: { x: 0, y: 0 },
              level: shown,
              width: null,
              length: null,
              thickness: null,
              method: 'full',
              bearing: null,
            },
          };
        case 'load': {
          const on = selected && building.beams.has(selected) ? selected : [...building.beams.keys()][0];
          return on
            ? {
                id,
                kind: 'load',
                body: { label: 'new load', on, type: 'point', nature: 'imposed', use: 'A', at: 0, force: 0, from: 0, to: 0, intensity: 0 },
              }
            : null;
        }
      }
    };
    const item = make();
    if (!item) return;
    quietly(put([item], `${ADD[table].replace('Add', 'Added')}`).then(() => select(item.id)));
  };

  if (building.levels.length < 2)
    return (
      <div className="p-10">
        <h1 className="text-xl font-bold">Survey</h1>
        <p className="mt-2 max-w-lg">
          Members stand between levels, and there is only one. Go to Brief and add the levels of the building from the ground up; then place
          columns, beams and footings here.
        </p>
      </div>
    );

  return (
    <>
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex items-baseline justify-between px-4 pt-2">
          <h1 className="text-[17px] font-bold">
            Survey{' '}
            <span className="ml-2 text-[13px] font-normal text-soft">
              plan of {levelName}, to scale; solid posts come up from below, hollow ones start here
            </span>
          </h1>
          <SaveSvg drawing={drawing} name={`plan-${levelName}`} />
        </div>
        <div ref={ref} className="min-h-0 flex-[5] overflow-hidden">
          <DrawingView drawing={drawing} onPick={select} nameOf={(id) => markOf(building, id)} />
        </div>
        <div className="flex items-center border-y border-rule px-4 py-1">
          <div className="flex flex-1 gap-1" role="tablist" aria-label="Schedules">
            {TABS.map(({ kind, title }) => (
              <button
                key={kind}
                type="button"
                role="tab"
                aria-selected={tab === kind}
                className={`px-2 ${tab === kind ? 'border-b-2 border-oxide font-semibold' : 'text-soft'}`}
                onClick={() => setTab(kind)}
              >
                {title}
              </button>
            ))}
          </div>
          {tab === 'level' ? null : (
            <button type="button" className="btn btn-main" onClick={add} disabled={table === 'load' && building.beams.size === 0}>
              {ADD[table]}
            </button>
          )}
        </div>
        <div className="min-h-0 flex-[4] overflow-auto px-4" tabIndex={0} role="region" aria-label="Schedule">
          {tab === 'level' ? <Levels /> : <MemberTable kind={tab} level={shown} />}
        </div>
      </div>
      <Inspector />
    </>
  );
}

import { footingDrawing, formatQuantity, unitLabel, type Item } from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { Ladder, StateWord, UtilisationBar } from '../../parts/Ladder';
import { SidePanel } from '../../parts/SidePanel';
import { useItems, useProject, useView } from '../../project/context';
import { FootingForm } from '../survey/forms/PostForms';

/** Pads: what they get, how large they must be, and how they are made. */
export function GroundRoom() {
  const { building, computed, brief, units } = useProject();
  const { selected, select } = useView();
  const items = useItems('footing');
  const rows = [...building.footings.keys()]
    .map((id) => computed.designs.footing(id)!)
    .sort((a, b) => a.mark.localeCompare(b.mark, 'en', { numeric: true }));
  const chosen = rows.find((footing) => footing.id === selected) ?? rows[0];
  const size = (value: number) => formatQuantity(value, 'length', units, { bare: true, figures: 3 });
  if (rows.length === 0)
    return (
      <div className="p-10">
        <h1 className="text-xl font-bold">Ground</h1>
        <p className="mt-2 max-w-lg">
          There is no footing yet. Add one under each column in Survey; here it is sized from the service loads that reach it.
        </p>
      </div>
    );
  const item = items.find((candidate) => candidate.id === chosen?.id) as Extract<Item, { kind: 'footing' }> | undefined;
  return (
    <>
      <div className="flex min-w-0 flex-1 flex-col px-4 pt-2">
        <h1 className="text-[17px] font-bold">
          Ground{' '}
          <span className="ml-2 text-[13px] font-normal text-soft">
            {formatQuantity(brief.bearing, 'bearing', units)} {brief.bearingBasis}
            {brief.bearingSource ? `, ${brief.bearingSource}` : ', no source given'}
          </span>
        </h1>
        <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="Schedule of footings">
          <table className="grid-table">
            <thead>
              <tr>
                <th>Mark</th>
                <th className="num">Load [{unitLabel('force', units)}]</th>
                <th className="num">Pad [{unitLabel('length', units)}]</th>
                <th className="num">Thick [{unitLabel('sectionLength', units)}]</th>
                <th>Bars, bottom</th>
                <th className="num">Pressure [{unitLabel('bearing', units)}]</th>
                <th>Governs</th>
                <th className="w-24">
                  <span className="sr-only">Bar</span>
                </th>
                <th className="num">Utilisation</th>
                <th>State</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((footing) => {
                const ledger = computed.takedown.members.get(footing.id)!;
                return (
                  <tr
                    key={footing.id}
                    aria-selected={footing.id === chosen?.id}
                    className="cursor-pointer"
                    onClick={() => select(footing.id)}
                  >
                    <td>
                      <button type="button" className="font-semibold whitespace-nowrap" onClick={() => select(footing.id)}>
                        {footing.mark}
                      </button>
                    </td>
                    <td className="num">
                      {formatQuantity(
                        Object.values(ledger.sum).reduce((sum, value) => sum + value, 0),
                        'force',
                        units,
                        { bare: true },
                      )}
                    </td>
                    <td className="num">{footing.width ? `${size(footing.width)} × ${size(footing.length)}` : '—'}</td>
                    <td className="num">
                      {footing.thickness ? formatQuantity(footing.thickness, 'sectionLength', units, { bare: true, figures: 3 }) : '—'}
                    </td>
                    <td>
                      {footing.bars ? (
                        `${footing.bars.alongX.count} + ${footing.bars.alongY.count} ${units === 'SI' ? 'ø' : ''}${footing.barId}`
                      ) : (
                        <span className="text-soft">{footing.reason ?? 'none'}</span>
                      )}
                    </td>
                    <td className="num">
                      {footing.width && !footing.checks.some((check) => check.id === 'bearing' && check.verdict === 'unproven')
                        ? formatQuantity(footing.pressure, 'bearing', units, { bare: true })
                        : '—'}
                    </td>
                    <td className="text-[13px]">{footing.governing?.name ?? ''}</td>
                    <td className="align-middle!">
                      <UtilisationBar value={footing.governing?.utilisation ?? null} state={footing.verdict} />
                    </td>
                    <td className="num font-semibold">{footing.governing?.utilisation?.toFixed(2) ?? '—'}</td>
                    <td>
                      <StateWord state={footing.verdict} />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
        {chosen ? (
          <DrawingView
            drawing={footingDrawing(chosen, chosen.foundingDepth, units, 720, 300)}
            className="w-full max-h-[330px] shrink-0 border-t border-rule"
          />
        ) : null}
      </div>
      {chosen && item ? (
        <SidePanel label={`Footing ${chosen.mark}`}>
          <FootingForm key={item.id} item={item} />
          <div className="mt-4">
            <Ladder checks={chosen.checks} units={units} />
          </div>
          <SheetButton id={chosen.id} />
          <p className="mt-3 text-[12px] text-soft">
            Settlement, sliding, uplift and eccentric load are not covered. Bearing is declared, not derived: a licensed engineer must
            confirm the ground.
          </p>
        </SidePanel>
      ) : null}
    </>
  );
}

function SheetButton({ id }: { id: string }) {
  const { openSheet } = useView();
  return (
    <button type="button" className="btn mt-3" onClick={() => openSheet(id)}>
      Open the sheet
    </button>
  );
}

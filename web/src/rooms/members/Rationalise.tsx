import { proxy } from 'comlink';
import { useState } from 'react';
import { toast } from 'sonner';
import { costCurve, shapeName, tonnes, type Item, type MemberDesign, type SizeSet } from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { NumberField, SelectField } from '../../parts/fields';
import { useItems, useProject, useStore } from '../../project/context';
import { useEdit } from '../../project/useEdit';

const MOST = 6;

/** The best few sizes for the members that the schedule shows, with the cost of each number of sizes. */
export function Rationalise({ shown, close }: { shown: readonly MemberDesign[]; close: () => void }) {
  const { engine } = useStore();
  const { brief, units, computed } = useProject();
  const { put, quietly } = useEdit();
  const beams = useItems('beam');
  const columns = useItems('column');
  const [kind, setKind] = useState<'beam' | 'column'>('beam');
  const [charge, setCharge] = useState(150);
  const [done, setDone] = useState<number | null>(null);
  const [found, setFound] = useState<{ of: unknown; sets: readonly SizeSet[] } | null>(null);
  const [picked, setPicked] = useState(0);
  const [failed, setFailed] = useState<string | null>(null);
  // a section that is there stays: what exists is not sized
  const items: readonly Extract<Item, { kind: 'beam' | 'column' }>[] = kind === 'beam' ? beams : columns;
  const sized = shown.filter(
    (member) =>
      member.kind === kind && items.some(({ id, body }) => id === member.id && body.status === 'new' && body.material === 'steel'),
  );
  const isLocked = (id: string) => items.some((item) => item.id === id && item.body.locked);
  const group = sized.filter(({ id }) => !isLocked(id));
  const kept = sized.length - group.length;
  const cheapest = found?.sets.reduce<SizeSet | null>((best, set) => (!best || set.cost < best.cost ? set : best), null) ?? null;
  const chosen = found?.sets.find(({ count }) => count === picked) ?? cheapest;
  const now = group.filter(({ section }) => section !== null);
  const distinct = new Set(now.map(({ section }) => section)).size;

  const run = async () => {
    setDone(0);
    setFailed(null);
    try {
      const sets = await engine.rationalise(
        group.map(({ id }) => id),
        MOST,
        charge,
        {},
        proxy((step: number) => setDone(step)),
      );
      if (!sets) return;
      if ('failed' in sets) setFailed(sets.failed);
      else {
        setFound({ of: computed, sets });
        setPicked(0);
      }
    } finally {
      setDone(null);
    }
  };
  const take = async (set: SizeSet) => {
    const changed = items.flatMap((item): Item[] => {
      const section = set.chosen.get(item.id);
      return section && item.body.section !== section ? [{ ...item, body: { ...item.body, section } } as Item] : [];
    });
    await put(changed, `${set.chosen.size} ${kind}s of ${set.count} ${set.count === 1 ? 'size' : 'sizes'}: ${set.sizes.join(', ')}`);
    toast(`${changed.length} sections changed. Their own weight has changed with them: look whether all still carry.`);
  };
  return (
    <section aria-label="Few sizes" className="border-b border-rule pb-3">
      <div className="flex items-end gap-3">
        <h2 className="text-[15px]">Few sizes</h2>
        <div className="w-28">
          <SelectField
            label="Of the"
            value={kind}
            commit={(next) => {
              setKind(next as typeof kind);
              setFound(null);
            }}
            options={[
              { value: 'beam', label: 'beams shown' },
              { value: 'column', label: 'columns shown' },
            ]}
          />
        </div>
        <div className="w-44">
          <NumberField
            label="A further size costs [kg of steel]"
            value={charge}
            commit={(value) => {
              if (value < 0) throw new Error('must be at least 0');
              setCharge(value);
              setFound(null);
            }}
          />
        </div>
        {kept > 0 ? <span className="text-[13px] text-soft">{kept} locked stay as they are</span> : null}
        {done === null ? (
          <button type="button" className="btn btn-main" disabled={group.length === 0} onClick={() => quietly(run())}>
            Find the best sizes for {group.length}
          </button>
        ) : (
          <span role="status" className="text-[13px] text-soft">
            {done} of {group.length} tried{' '}
            <button type="button" className="btn-line" onClick={() => void engine.stopSizing()}>
              stop
            </button>
          </span>
        )}
        <span className="flex-1" />
        <button type="button" className="btn-line" onClick={close}>
          Close
        </button>
      </div>
      {failed ? (
        <p role="alert" className="mt-1 text-oxide">
          {failed}
        </p>
      ) : null}
      {found && chosen ? (
        <div className="mt-2 flex gap-5">
          <div>
            <p className="text-[12px] text-soft">Steel, and above it the charge, by number of sizes</p>
            <DrawingView className="w-[300px]" drawing={costCurve(found.sets, chosen.count, units, 300, 150)} />
          </div>
          <div className="min-w-0 flex-1">
            <p className="text-[13px] text-soft">
              Now {distinct} {distinct === 1 ? 'size' : 'sizes'}. Each member carries under every combination with its own weight; loads
              that come from above stay as they are.
            </p>
            <div role="radiogroup" aria-label="Number of sizes" className="mt-1 flex gap-1">
              {found.sets.map((set) => (
                <button
                  key={set.count}
                  type="button"
                  role="radio"
                  aria-checked={set === chosen}
                  className={`btn ${set === chosen ? 'border-oxide! text-oxide!' : ''}`}
                  onClick={() => setPicked(set.count)}
                >
                  {set.count}
                  {set === cheapest ? ' cheapest' : ''}
                </button>
              ))}
            </div>
            <p className="mt-2">
              <b className="text-[17px]">{tonnes(chosen.mass, units)}</b> of steel in{' '}
              {chosen.sizes.map((size) => shapeName(brief, size)).join(', ')}
            </p>
            <p className="mt-1 text-[13px]">
              {chosen.sizes.map((size) => {
                const marks = group.filter(({ id }) => chosen.chosen.get(id) === size).map(({ mark }) => mark);
                return (
                  <span key={size} className="block">
                    <b className="font-semibold">{shapeName(brief, size)}</b>:{' '}
                    {marks.length > 14 ? `${marks.slice(0, 14).join(', ')} and ${marks.length - 14} more` : marks.join(', ')}
                  </span>
                );
              })}
            </p>
            {found.of === computed ? (
              <button type="button" className="btn btn-main mt-2" onClick={() => quietly(take(chosen))}>
                Take these sizes
              </button>
            ) : (
              <p className="mt-2 text-[12.5px] text-oxide">The project has changed since these were found: find them again.</p>
            )}
          </div>
        </div>
      ) : null}
    </section>
  );
}

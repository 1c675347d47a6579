import { useState } from 'react';
import {
  catalogue,
  formatQuantity,
  inOrderOf,
  isEnough,
  leastOf,
  nextLess,
  STANDARDS,
  usualFamilies,
  type Candidate,
  type SizedBy,
  shapeName,
} from '@plinth/core';
import { StateWord } from '../../parts/Ladder';
import { useProject, useStore } from '../../project/context';
import { useEdit } from '../../project/useEdit';

/** Choice of families: those from which such a member is usually taken. */
const USUAL = '';

const LEAST: Record<SizedBy, string> = { mass: 'Lightest', depth: 'Shallowest', width: 'Narrowest', cost: 'Cheapest' };
const LESS: Record<SizedBy, string> = { mass: 'lighter', depth: 'shallower', width: 'narrower', cost: 'cheaper' };

/** The sections of the families chosen, tried under every combination; one is chosen with a click. */
export function Sizing({ id, kind, commit }: { id: string; kind: 'beam' | 'column'; commit: (section: string) => Promise<void> }) {
  const store = useStore();
  const { brief, units, computed } = useProject();
  const { quietly } = useEdit();
  const [tried, setTried] = useState<{ of: unknown; list: Candidate[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const [depth, setDepth] = useState('');
  const [width, setWidth] = useState('');
  const [by, setBy] = useState<SizedBy>('mass');
  const [family, setFamily] = useState(USUAL);
  const usual = usualFamilies(brief.family, kind);
  const { materials } = STANDARDS[brief.family].profile;
  const all = [
    ...new Set(
      catalogue()
        .filter(({ region }) => region === materials)
        .map((section) => section.family),
    ),
  ];
  const size = async () => {
    setBusy(true);
    try {
      const factor = units === 'SI' ? 1 : 25.4;
      const most = (text: string) => (text.trim() && Number(text) > 0 ? Number(text) * factor : undefined);
      setTried({
        of: computed,
        list: await store.engine.candidates(id, {
          maxDepth: most(depth),
          maxWidth: most(width),
          families: family === USUAL ? (brief.ownShapes.length > 0 ? [...usual, 'own'] : []) : [family],
        }),
      });
    } finally {
      setBusy(false);
    }
  };
  const best = tried ? leastOf(tried.list, by) : null;
  const less = tried && best ? nextLess(tried.list, best, by) : null;
  const around = tried ? visibleCandidates(tried.list, best, by) : [];
  return (
    <section aria-label="Sizing" className="mt-4 border-t border-rule pt-2">
      <h3 className="label">Which section</h3>
      <div className="mt-1 grid grid-cols-2 items-end gap-x-3 gap-y-1 text-[12px] text-soft">
        <label>
          families
          <select className="field w-full" value={family} onChange={(event) => setFamily(event.target.value)}>
            <option value={USUAL}>{usual.join(', ')}</option>
            {brief.ownShapes.length > 0 ? <option value="own">own shapes</option> : null}
            {all.map((name) => (
              <option key={name} value={name}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label>
          depth, at most [{units === 'SI' ? 'mm' : 'in'}]
          <input
            className="field w-full"
            value={depth}
            inputMode="decimal"
            onChange={(event) => setDepth(event.target.value)}
            placeholder="any"
          />
        </label>
        <label>
          width, at most [{units === 'SI' ? 'mm' : 'in'}]
          <input
            className="field w-full"
            value={width}
            inputMode="decimal"
            onChange={(event) => setWidth(event.target.value)}
            placeholder="any"
          />
        </label>
        <label>
          the least
          <select className="field w-full" value={by} onChange={(event) => setBy(event.target.value as SizedBy)}>
            <option value="mass">mass</option>
            <option value="depth">depth</option>
            <option value="width">width</option>
            <option value="cost">cost</option>
          </select>
        </label>
      </div>
      <button type="button" className="btn btn-main mt-2" disabled={busy} onClick={() => void size()}>
        {busy ? 'Trying…' : `Size this ${kind}`}
      </button>
      {tried && tried.of !== computed ? (
        <p className="mt-1 text-[12px] text-oxide">The project has changed since these were tried.</p>
      ) : null}
      {tried ? (
        <>
          <p className="mt-1 text-[13px]">
            {best ? (
              <>
                {LEAST[by]} that carries: <b>{shapeName(brief, best.designation)}</b>{' '}
                <button type="button" className="btn-line" onClick={() => quietly(commit(best.designation))}>
                  Take it
                </button>
                {less?.governing ? (
                  <span className="block text-[12px] text-soft">
                    Not {shapeName(brief, less.designation)}, which is {LESS[by]}: {less.governing.name.toLowerCase()} at{' '}
                    {less.governing.utilisation?.toFixed(2) ?? 'no capacity'}
                    {less.governing.combination ? ` under ${less.governing.combination}` : ''}.
                  </span>
                ) : null}
              </>
            ) : (
              `None of ${tried.list.length} sections of ${family === USUAL ? usual.join(', ') : family} carries it.`
            )}
          </p>
          {by === 'cost' ? (
            <p className="text-[12px] text-soft">
              Cost as {units === 'SI' ? 'kg/m' : 'lb/ft'} of rolled steel: a kg of hollow shapes counts {brief.priceHollow}, of welded ones{' '}
              {brief.priceWelded} (Brief). Connections, coating and erection are not in it.
            </p>
          ) : null}
          <table className="grid-table mt-1 text-[13px]">
            <thead>
              <tr>
                <th>Section</th>
                <th className="num">{units === 'SI' ? 'kg/m' : 'lb/ft'}</th>
                {by === 'cost' ? <th className="num">Cost</th> : null}
                <th className="num">Use</th>
                <th>What governs</th>
              </tr>
            </thead>
            <tbody>
              {around.map((candidate) => (
                <tr key={candidate.designation} aria-selected={candidate === best}>
                  <td className="whitespace-nowrap">
                    <button type="button" className="text-left hover:text-oxide" onClick={() => quietly(commit(candidate.designation))}>
                      {shapeName(brief, candidate.designation)}
                    </button>
                  </td>
                  <td className="num">{formatQuantity(candidate.mass, 'massPerLength', units, { bare: true, figures: 3 })}</td>
                  {by === 'cost' ? (
                    <td className="num">{formatQuantity(candidate.cost, 'massPerLength', units, { bare: true, figures: 3 })}</td>
                  ) : null}
                  <td className="num">{candidate.utilisation?.toFixed(2) ?? '—'}</td>
                  <td className="text-[12px]">
                    {candidate.governing?.name ?? ''} <StateWord state={candidate.verdict} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      ) : null}
    </section>
  );
}

/** A few that just fail, the lightest that carries, and those that come after it. */
function visibleCandidates(list: readonly Candidate[], best: Candidate | null, by: SizedBy): Candidate[] {
  const order = inOrderOf(list, by);
  const carrying = order.filter(isEnough).slice(0, 6);
  const short = order
    .slice(0, best ? order.indexOf(best) : undefined)
    .filter((candidate) => candidate.verdict === 'short' && candidate.utilisation !== null)
    .slice(-3);
  return inOrderOf([...short, ...carrying], by);
}

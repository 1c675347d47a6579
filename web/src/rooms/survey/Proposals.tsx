import { useState } from 'react';
import { formatQuantity, itemName, marksOf, type Item, type PlanPoint, type Proposal } from '@plinth/core';
import { QuantityField } from '../../parts/fields';
import { useAsked } from '../../parts/useAsked';
import { useProject } from '../../project/context';
import { freshId, nextMark, useEdit } from '../../project/useEdit';

interface Ends {
  readonly from: PlanPoint;
  readonly to: PlanPoint;
}

/** Beams that would carry a wall where it stops above nothing, one under the other, to be accepted, edited or dismissed. */
export function Proposals({ wall }: { wall: Extract<Item, { kind: 'wall' }> }) {
  const { computed } = useProject();
  const [isOpen, setOpen] = useState(false);
  const bearers = computed.takedown.bearers.get(wall.id) ?? [];
  const stopsAboveNothing = computed.takedown.looseEnds.some(({ key }) => key === `no-support:${wall.id}` || key === `wall-gap:${wall.id}`);
  if (!stopsAboveNothing && bearers.some(({ by }) => by !== null)) return null;
  if (!isOpen)
    return (
      <button type="button" className="btn-line mt-1" onClick={() => setOpen(true)}>
        Propose a beam under it
      </button>
    );
  return <Proposed wall={wall} dismiss={() => setOpen(false)} />;
}

function Proposed({ wall, dismiss }: { wall: Extract<Item, { kind: 'wall' }>; dismiss: () => void }) {
  const { building, units } = useProject();
  const { put, quietly } = useEdit();
  const proposals = useAsked(`proposals ${wall.id}`, (engine) => engine.proposals(wall.id));
  const [edited, setEdited] = useState<Readonly<Record<string, Ends>>>({});
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  if (!proposals) return <p className="text-[13px] text-soft">Looking for what could carry it…</p>;
  const wanted = proposals.filter(({ item }) => !left.has(item.id));
  if (wanted.length === 0)
    return (
      <p className="text-[13px] text-soft">
        {proposals.length === 0
          ? 'It is at the lowest level, or supported along its whole length: draw a footing for it.'
          : 'None of them is left.'}{' '}
        <button type="button" className="btn-line" onClick={dismiss}>
          Close
        </button>
      </p>
    );
  const endsOf = ({ item }: Proposal): Ends => edited[item.id] ?? { from: item.body.from, to: item.body.to };
  const accept = () => {
    const marks = marksOf(building);
    const items = wanted.map((proposal): Item => {
      const { item } = proposal;
      // the mark that was shown, unless somebody took it meanwhile
      const mark = marks.includes(item.body.mark) ? nextMark('B', marks) : item.body.mark;
      marks.push(mark);
      return { ...item, id: freshId('beam'), body: { ...item.body, ...endsOf(proposal), mark } };
    });
    dismiss();
    return put(items, `${items.map(itemName).join(', ')} drawn to carry ${wall.body.mark}`);
  };
  return (
    <section aria-label="Proposed beams" className="mt-2 border-l-2 border-oxide pl-2 text-[13px]">
      <h3 className="label">Proposed</h3>
      <ol>
        {wanted.map((proposal) => (
          <ProposedBeam
            key={proposal.item.id}
            proposal={proposal}
            ends={endsOf(proposal)}
            units={units}
            change={(ends) => setEdited({ ...edited, [proposal.item.id]: ends })}
            leaveOut={() => setLeft(new Set([...left, proposal.item.id]))}
          />
        ))}
      </ol>
      <p className="text-[12px] text-soft">
        Characteristic loads with all of them drawn, self-weight allowance included. Sections are to be chosen.
      </p>
      <div className="mt-1 flex gap-2">
        <button type="button" className="btn" onClick={() => quietly(accept())}>
          Draw {wanted.length === 1 ? 'it' : `all ${wanted.length}`}
        </button>
        <button type="button" className="btn-line" onClick={dismiss}>
          Dismiss
        </button>
      </div>
    </section>
  );
}

interface BeamProps {
  readonly proposal: Proposal;
  readonly ends: Ends;
  readonly units: 'SI' | 'US';
  readonly change: (ends: Ends) => void;
  readonly leaveOut: () => void;
}

function ProposedBeam({ proposal, ends, units, change, leaveOut }: BeamProps) {
  const { item, under, on, permanent, variable } = proposal;
  const { mark } = item.body;
  const length = Math.hypot(ends.to.x - ends.from.x, ends.to.y - ends.from.y);
  const rests = on.map((end) => end ?? 'nothing yet');
  const place = (end: keyof Ends, axis: keyof PlanPoint) => (
    <QuantityField
      label={`${end} ${axis}`}
      kind="position"
      value={ends[end][axis]}
      commit={async (value) => change({ ...ends, [end]: { ...ends[end], [axis]: value } })}
    />
  );
  return (
    <li className="mt-1" aria-label={`Proposed ${mark}`}>
      <b className="font-semibold">{mark}</b> under {under}, {formatQuantity(length, 'length', units)}, on{' '}
      <span className={on.includes(null) ? 'text-oxide' : ''}>{rests.join(' and ')}</span>: permanent{' '}
      {formatQuantity(permanent, 'force', units)}
      {variable === 0 ? '' : `, variable ${formatQuantity(variable, 'force', units)}`}
      <details>
        <summary className="cursor-pointer text-[12px] text-soft">Edit its ends</summary>
        <div className="grid grid-cols-4 gap-1">
          {place('from', 'x')}
          {place('from', 'y')}
          {place('to', 'x')}
          {place('to', 'y')}
        </div>
      </details>
      <button type="button" className="text-[12px] text-soft hover:text-oxide" aria-label={`Leave ${mark} out`} onClick={leaveOut}>
        Leave it out
      </button>
    </li>
  );
}

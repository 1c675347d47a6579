import { useState } from 'react';
import {
  findSection,
  formatQuantity,
  inOrderOf,
  isEnough,
  leastOf,
  lightest,
  nextLess,
  planLength,
  sectionDrawing,
  senseOf,
  STEEL_GRADES,
  usualFamilies,
  type Candidate,
  type SizedBy,
  type SizingRequest,
} from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { Ladder, StateWord } from '../../parts/Ladder';
import { PanelHead, SidePanel } from '../../parts/SidePanel';
import { useAsked } from '../../parts/useAsked';
import { useItems, useProject, useStore, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { SectionField } from './SectionField';

/** A designation that the catalogue has, or that gives an own shape. */
function isKnown(designation: string): boolean {
  try {
    return Boolean(findSection(designation));
  } catch {
    return false;
  }
}

/** One beam or column: its section drawn, diagrams on the member, ladder by every philosophy, and help in choosing. */
export function MemberPanel() {
  const { building, computed, units } = useProject();
  const { selected, openSheet } = useView();
  const { patch } = useEdit();
  const beams = useItems('beam');
  const columns = useItems('column');
  const [combination, setCombination] = useState('');
  const member = selected ? computed.members.get(selected) : undefined;
  const diagrams = useAsked(`diagrams ${selected} ${combination}`, (engine) =>
    member?.kind === 'beam'
      ? engine.diagrams(member.id, ['moment', 'shear', 'deflection'], 330, 104, combination || undefined)
      : Promise.resolve(undefined),
  );
  if (!member)
    return (
      <SidePanel label="Member">
        <p className="text-soft">Choose a member to see its section, what it does, and which limit state comes first.</p>
      </SidePanel>
    );
  const item = beams.find((beam) => beam.id === member.id) ?? columns.find((column) => column.id === member.id)!;
  const truss = item.kind === 'beam' && item.body.role === 'truss';
  const commit = (section: string | null) =>
    patch(item, { section }, section ? `${member.mark}: ${section}` : `${member.mark}: section taken away`);
  const section = member.section && isKnown(member.section) ? findSection(member.section) : null;
  const beam = building.beams.get(member.id);
  const sense = beam && section ? senseOf(beam, computed.takedown.members.get(member.id)!, section) : null;
  return (
    <SidePanel label={`Member ${member.mark}`}>
      <PanelHead mark={member.mark} what={beam ? `${beam.role}, ${formatQuantity(planLength(beam), 'length', units)}` : 'column'}>
        {member.section ? `${member.section} · ${member.grade}` : member.reason}
      </PanelHead>
      {truss ? null : (
        <div className="mt-2 flex items-start gap-3">
          <div className="flex-1">
            <SectionField key={member.id} kind={member.kind} value={member.section} commit={commit} />
            {section ? (
              <p className="mt-1 text-[12px] text-soft">
                {formatQuantity(section.mass, 'massPerLength', units)} · A {formatQuantity(section.properties.A, 'area', units)} · Wpl{' '}
                {formatQuantity(section.properties.Wply, 'sectionModulus', units)}
              </p>
            ) : null}
            {sense ? (
              <p className={`text-[12px] ${sense.isUsual ? 'text-soft' : 'text-oxide'}`}>
                Span over depth {sense.ratio.toFixed(1)}, {sense.words} ({sense.low} to {sense.high}).
              </p>
            ) : null}
          </div>
          {section ? <DrawingView drawing={sectionDrawing(section, units, 120, 130)} className="w-[120px]" /> : null}
        </div>
      )}
      {diagrams?.drawings.length ? (
        <section aria-label="Diagrams" className="mt-2">
          <label className="block text-[12px] text-soft">
            Diagrams under
            <select className="field text-ink" value={diagrams.shown ?? ''} onChange={(event) => setCombination(event.target.value)}>
              {diagrams.combinations.map((name) => (
                <option key={name} value={name}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          {diagrams.drawings.map((drawing) => (
            <DrawingView key={drawing.title} drawing={drawing} className="w-full" />
          ))}
        </section>
      ) : null}
      {member.results.map((result) => (
        <div key={result.philosophy} className="mt-3">
          <Ladder
            checks={result.checks}
            units={units}
            title={member.results.length > 1 ? `Ladder, ${result.philosophy}` : 'Failure ladder'}
          />
          <button type="button" className="btn mt-2" onClick={() => openSheet(`${member.id}~${result.philosophy}`)}>
            Open the sheet{member.results.length > 1 ? `, ${result.philosophy}` : ''}
          </button>
        </div>
      ))}
      {truss ? null : <Sizing key={member.id} id={member.id} kind={member.kind} commit={commit} />}
    </SidePanel>
  );
}

const LEAST: Record<SizedBy, string> = { mass: 'Lightest', depth: 'Shallowest', width: 'Narrowest' };
const LESS: Record<SizedBy, string> = { mass: 'lighter', depth: 'shallower', width: 'narrower' };

/** The sections of the usual families, tried under every combination; one is chosen with a click. */
function Sizing({ id, kind, commit }: { id: string; kind: 'beam' | 'column'; commit: (section: string) => Promise<void> }) {
  const store = useStore();
  const { brief, units, computed } = useProject();
  const { quietly } = useEdit();
  const [tried, setTried] = useState<{ of: unknown; list: Candidate[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const [depth, setDepth] = useState('');
  const [width, setWidth] = useState('');
  const [by, setBy] = useState<SizedBy>('mass');
  const size = async () => {
    setBusy(true);
    try {
      const factor = units === 'SI' ? 1 : 25.4;
      const most = (text: string) => (text.trim() && Number(text) > 0 ? Number(text) * factor : undefined);
      setTried({
        of: computed,
        list: await store.engine.candidates(id, { maxDepth: most(depth), maxWidth: most(width) }),
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
      <div className="mt-1 grid grid-cols-3 items-end gap-2 text-[12px] text-soft">
        <label>
          no deeper than [{units === 'SI' ? 'mm' : 'in'}]
          <input
            className="field w-full"
            value={depth}
            inputMode="decimal"
            onChange={(event) => setDepth(event.target.value)}
            placeholder="any"
          />
        </label>
        <label>
          no wider than [{units === 'SI' ? 'mm' : 'in'}]
          <input
            className="field w-full"
            value={width}
            inputMode="decimal"
            onChange={(event) => setWidth(event.target.value)}
            placeholder="any"
          />
        </label>
        <label>
          of those the least
          <select className="field w-full" value={by} onChange={(event) => setBy(event.target.value as SizedBy)}>
            <option value="mass">mass</option>
            <option value="depth">depth</option>
            <option value="width">width</option>
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
                {LEAST[by]} that carries: <b>{best.designation}</b>{' '}
                <button type="button" className="btn-line" onClick={() => quietly(commit(best.designation))}>
                  Take it
                </button>
                {less?.governing ? (
                  <span className="block text-[12px] text-soft">
                    Not {less.designation}, which is {LESS[by]}: {less.governing.name.toLowerCase()} at{' '}
                    {less.governing.utilisation?.toFixed(2) ?? 'no capacity'}
                    {less.governing.combination ? ` under ${less.governing.combination}` : ''}.
                  </span>
                ) : null}
              </>
            ) : (
              `None of ${tried.list.length} sections of ${usualFamilies(brief.family, kind).join(', ')} carries it.`
            )}
          </p>
          <table className="grid-table mt-1 text-[13px]">
            <thead>
              <tr>
                <th>Section</th>
                <th className="num">{units === 'SI' ? 'kg/m' : 'lb/ft'}</th>
                <th className="num">Use</th>
                <th>What governs</th>
              </tr>
            </thead>
            <tbody>
              {around.map((candidate) => (
                <tr key={candidate.designation} aria-selected={candidate === best}>
                  <td>
                    <button type="button" className="text-left hover:text-oxide" onClick={() => quietly(commit(candidate.designation))}>
                      {candidate.designation}
                    </button>
                  </td>
                  <td className="num">{formatQuantity(candidate.mass, 'massPerLength', units, { bare: true, figures: 3 })}</td>
                  <td className="num">{candidate.utilisation?.toFixed(2) ?? '—'}</td>
                  <td className="text-[12px]">
                    {candidate.governing?.name ?? ''} <StateWord state={candidate.verdict} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <WhatIf id={id} kind={kind} />
        </>
      ) : null}
    </section>
  );
}

/** What would be chosen if the member were held otherwise, or of another grade. */
function WhatIf({ id, kind }: { id: string; kind: 'beam' | 'column' }) {
  const store = useStore();
  const { building, brief, computed } = useProject();
  const beam = building.beams.get(id);
  const grades = STEEL_GRADES.filter(({ family, products }) => family === brief.family && products.includes('rolled')).map(
    (grade) => grade.id,
  );
  const other = beam?.restraint === 'floor' ? 'supports' : 'floor';
  const ways: readonly { name: string; request: SizingRequest }[] = [
    ...(beam
      ? [
          {
            name: other === 'floor' ? 'with the floor holding its top flange' : 'without the floor holding its top flange',
            request: { restraint: other } as const,
          },
        ]
      : []),
    ...grades.map((grade) => ({ name: `in ${grade}`, request: { grade } })),
  ];
  const [found, setFound] = useState<{ of: unknown; rows: { name: string; best: Candidate | null }[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const ask = async () => {
    setBusy(true);
    try {
      const rows = [];
      for (const { name, request } of ways) rows.push({ name, best: lightest(await store.engine.candidates(id, request)) });
      setFound({ of: computed, rows });
    } finally {
      setBusy(false);
    }
  };
  if (!found || found.of !== computed)
    return (
      <button type="button" className="btn-line mt-2" disabled={busy} onClick={() => void ask()}>
        {busy ? 'Trying…' : `What if this ${kind} were held otherwise, or of another grade?`}
      </button>
    );
  return (
    <table className="grid-table mt-2 text-[13px]" aria-label="What if">
      <tbody>
        {found.rows.map(({ name, best }) => (
          <tr key={name}>
            <td className="text-soft">{name}</td>
            <td className="font-semibold">{best?.designation ?? 'none carries'}</td>
          </tr>
        ))}
      </tbody>
    </table>
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

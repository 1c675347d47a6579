import { useState } from 'react';
import {
  compareMethods,
  methodsInWords,
  STANDARDS,
  columnElevation,
  findSection,
  formatQuantity,
  isSection,
  planLength,
  sectionDrawing,
  senseOf,
  senseOfColumn,
  storeyHeight,
  shapeInFull,
} from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { CheckField } from '../../parts/fields';
import { Ladders } from '../../parts/Ladder';
import { WithoutFloor } from '../../parts/WithoutFloor';
import { PanelHead, SidePanel } from '../../parts/SidePanel';
import { useAsked } from '../../parts/useAsked';
import { useItems, useProject, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { MaterialField } from '../survey/forms/common';
import { SectionField } from './SectionField';
import { Sizing } from './Sizing';
import { SupportForcesTable } from './SupportForcesTable';
import { WhatIf } from './WhatIf';

/** One beam or column: its section drawn, diagrams on the member, ladder by every philosophy, and help in choosing. */
export function MemberPanel() {
  const { building, brief, computed, units } = useProject();
  const { selected, openSheet } = useView();
  const { patch } = useEdit();
  const beams = useItems('beam');
  const columns = useItems('column');
  const [combination, setCombination] = useState('');
  const member = selected ? computed.designs.member(selected) : undefined;
  const diagrams = useAsked(`diagrams ${selected} ${combination}`, (engine) =>
    member && member.kind !== 'column'
      ? engine.diagrams(member.id, ['moment', 'shear', 'deflection'], 330, 104, combination || undefined)
      : Promise.resolve(undefined),
  );
  const item = beams.find(({ id }) => id === selected) ?? columns.find(({ id }) => id === selected);
  if (!member && item?.body.material === 'loadOnly')
    return (
      <SidePanel label={`Member ${item.body.mark}`}>
        <PanelHead mark={item.body.mark} what={`${item.kind}, load only`}>
          Taken down here and not designed.
        </PanelHead>
        <div className="mt-2">
          <MaterialField item={item} />
        </div>
        <SupportForcesTable id={item.id} of={item.kind} units={units} />
      </SidePanel>
    );
  if (!member)
    return (
      <SidePanel label="Member">
        <p className="text-soft">Choose a member to see its section, what it does, and which limit state comes first.</p>
      </SidePanel>
    );
  const commit = async (section: string | null) =>
    item && patch(item, { section }, section ? `${member.mark}: ${section}` : `${member.mark}: section taken away`);
  const section = member.section && isSection(member.section) ? findSection(member.section) : null;
  const beam = building.beams.get(member.id);
  const column = building.columns.get(member.id);
  const sense = !section
    ? null
    : beam
      ? senseOf(beam, computed.takedown.members.get(member.id)!, section)
      : senseOfColumn(column!, section, storeyHeight(building, column!), brief.family);
  const ledger = computed.takedown.members.get(member.id);
  const methods = ledger ? compareMethods(STANDARDS[brief.family], member.results, ledger.sum, building.cases) : null;
  return (
    <SidePanel label={`Member ${member.mark}`}>
      <PanelHead mark={member.mark} what={beam ? `${member.kind}, ${formatQuantity(planLength(beam), 'length', units)}` : 'column'}>
        {member.section ? `${shapeInFull(brief, member.section)} · ${member.grade}` : member.reason}
      </PanelHead>
      {item?.body.material === 'concrete' ? (
        <div className="mt-2">
          <MaterialField item={item} />
        </div>
      ) : null}
      {item?.body.material !== 'steel' ? null : (
        <div className="mt-2 flex items-start gap-3">
          <div className="flex-1">
            <SectionField key={member.id} kind={item.kind} value={member.section} commit={commit} />
            {item.body.section === null ? null : (
              <CheckField
                label="locked: sizing leaves it"
                value={item.body.locked}
                commit={(locked) => patch(item, { locked }, `${member.mark}: size ${locked ? 'locked' : 'free'}`)}
              />
            )}
            {section ? (
              <p className="mt-1 text-[12px] text-soft">
                {formatQuantity(section.mass, 'massPerLength', units)} · A {formatQuantity(section.properties.A, 'area', units)} ·{' '}
                {section.region === 'american' ? 'Zx' : 'Wpl'} {formatQuantity(section.properties.Wply, 'sectionModulus', units)}
              </p>
            ) : null}
            {sense ? (
              <p className={`text-[12px] ${sense.isUsual ? 'text-soft' : 'text-oxide'}`}>
                {beam ? 'Span over depth' : 'Slenderness'} {sense.ratio.toFixed(beam ? 1 : 0)}, {sense.words} ({sense.low} to {sense.high}).
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
      {beam || column ? <SupportForcesTable id={member.id} of={beam ? 'beam' : 'column'} units={units} /> : null}
      {column && storeyHeight(building, column) > 0 ? (
        <section aria-label="Effective lengths" className="mt-2">
          <h3 className="label">Effective lengths</h3>
          <DrawingView
            className="w-full"
            drawing={columnElevation({
              column,
              storey: storeyHeight(building, column),
              family: brief.family,
              units,
              width: 330,
              height: 190,
            })}
          />
        </section>
      ) : null}
      {member.results.length > 0 ? (
        <div className="mt-3">
          <Ladders results={member.results} units={units} />
          {methods ? <p className="mt-1 text-[12px] text-soft">{methodsInWords(methods)}</p> : null}
          <WithoutFloor building={building} takedown={computed.takedown} id={member.id} />
          {member.results.map(({ philosophy }) => (
            <button key={philosophy} type="button" className="btn mt-2 mr-2" onClick={() => openSheet(`${member.id}~${philosophy}`)}>
              Open the sheet{member.results.length > 1 ? `, ${philosophy}` : ''}
            </button>
          ))}
        </div>
      ) : null}
      {item?.body.material !== 'steel' ? null : (
        <>
          <Sizing key={`size ${member.id}`} id={member.id} kind={item.kind} commit={commit} />
          <WhatIf key={`what if ${member.id}`} id={member.id} kind={item.kind} />
        </>
      )}
    </SidePanel>
  );
}

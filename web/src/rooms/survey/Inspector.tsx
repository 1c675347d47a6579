import { isLineItem, type Item } from '@plinth/core';
import { TextField } from '../../parts/fields';
import { PanelHead, SidePanel } from '../../parts/SidePanel';
import { useAllItems, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { BeamForm } from './forms/BeamForm';
import { BesideForm, CopyForm, type Of } from './forms/common';
import { DrawingForm } from './forms/DrawingForm';
import { LoadForm } from './forms/LoadForm';
import { MeasurementForm } from './forms/MeasurementForm';
import { NoteForm } from './forms/NoteForm';
import { PanelForm } from './forms/PanelForm';
import { ColumnForm, FootingForm, HangerForm, StripFootingForm } from './forms/PostForms';
import { SeveralForm } from './forms/SeveralForm';
import { WallForm } from './forms/WallForm';

/** Every property of what is selected, beside the plan. */
export function Inspector({ several }: { several: ReadonlySet<string> }) {
  const items = useAllItems();
  const { selected } = useView();
  const itemOf = (id: string): Item[] => {
    const stored = items.get(id);
    return stored ? [{ id, kind: stored.kind, body: stored.body } as Item] : [];
  };
  if (several.size > 1) {
    const chosen = [...several].flatMap(itemOf);
    return (
      <SidePanel label="Selected members">
        <SeveralForm items={chosen} />
      </SidePanel>
    );
  }
  const item = selected ? itemOf(selected)[0] : undefined;
  if (!item)
    return (
      <SidePanel label="Selected member">
        <p className="text-soft">
          Choose a member on the plan or in the schedule to see and edit all of it here. Single keys choose a tool: B draws a beam, C a
          column, W a wall, P a panel.
        </p>
      </SidePanel>
    );
  return (
    <SidePanel label="Selected member">
      <div className="space-y-4">
        <Form key={item.id} item={item} />
        {COPIED.has(item.kind) ? <CopyForm items={[item]} /> : null}
        {isLineItem(item) ? <BesideForm item={item} /> : null}
      </div>
    </SidePanel>
  );
}

/** What can be copied along the plan. */
const COPIED: ReadonlySet<Item['kind']> = new Set(['beam', 'column', 'wall', 'panel', 'hanger', 'footing', 'stripFooting', 'gridline']);

function Form({ item }: { item: Item }) {
  switch (item.kind) {
    case 'beam':
      return <BeamForm item={item} />;
    case 'column':
      return <ColumnForm item={item} />;
    case 'wall':
      return <WallForm item={item} />;
    case 'panel':
      return <PanelForm item={item} />;
    case 'hanger':
      return <HangerForm item={item} />;
    case 'footing':
      return <FootingForm item={item} />;
    case 'stripFooting':
      return <StripFootingForm item={item} />;
    case 'gridline':
      return <GridlineForm item={item} />;
    case 'drawing':
      return <DrawingForm item={item} />;
    case 'load':
      return <LoadForm item={item} />;
    case 'measurement':
      return <MeasurementForm item={item} />;
    case 'note':
      return <NoteForm item={item} />;
    default:
      return null;
  }
}

function GridlineForm({ item }: { item: Of<'gridline'> }) {
  const { patch } = useEdit();
  return (
    <div className="space-y-3">
      <PanelHead mark={item.body.label} what="gridline" />
      <TextField label="Label" value={item.body.label} commit={(label) => patch(item, { label }, `Gridline ${label}`)} />
    </div>
  );
}

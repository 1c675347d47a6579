import { isLineItem, isPlaced, type Item } from '@plinth/core';
import { SidePanel } from '../../parts/SidePanel';
import { useAllItems, useView } from '../../project/context';
import { BesideForm, CopyForm } from './forms/common';
import { SeveralForm } from './forms/SeveralForm';
import { surveyKind } from './kinds';

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
        {isPlaced(item.kind) ? <CopyForm items={[item]} /> : null}
        {isLineItem(item) ? <BesideForm item={item} /> : null}
      </div>
    </SidePanel>
  );
}

function Form({ item }: { item: Item }) {
  const Shown = surveyKind(item.kind)?.Form;
  return Shown ? <Shown item={item} /> : null;
}

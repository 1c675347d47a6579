import { TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useEdit } from '../../../project/useEdit';
import type { Of } from './common';

export function GridlineForm({ item }: { item: Of<'gridline'> }) {
  const { patch } = useEdit();
  return (
    <div className="space-y-3">
      <PanelHead mark={item.body.label} what="gridline" />
      <TextField label="Label" value={item.body.label} commit={(label) => patch(item, { label }, `Gridline ${label}`)} />
    </div>
  );
}

import { markOf, MEMBERS, type PinnedNote } from '@plinth/core';
import { SelectField, TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { supportOptions } from '../place';
import type { Of } from './common';

/** A note pinned to the plan, and to a member when it is about one. */
export function NoteForm({ item }: { item: Of<'note'> }) {
  const { building } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const set = (change: Partial<PinnedNote>, what: string) => patch(item, change, what);
  return (
    <div className="space-y-3">
      <PanelHead mark="Note" what={body.on ? `about ${markOf(building, body.on)}` : 'pinned to the plan'} />
      <TextField label="Words" value={body.text} commit={(text) => set({ text }, `Note: ${text}`.slice(0, 200))} />
      <SelectField
        label="It is about"
        value={body.on ?? ''}
        commit={(on) => set({ on: on || null }, 'Note pinned elsewhere')}
        options={supportOptions(building, '', MEMBERS).map((option) => (option.value ? option : { ...option, label: 'no member' }))}
      />
    </div>
  );
}

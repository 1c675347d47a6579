import { formatQuantity, planLength, type Truss } from '@plinth/core';
import { SelectField, TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { BeamContinuity } from './BeamContinuity';
import { BeamSupports } from './BeamSupports';
import { BecomeButton } from './BecomeButton';
import { OwnWeightField, ReductionField, STATUS, TRANSFER, type Of } from './common';
import { Strips } from './Strips';

/** A truss as it is taken down: a simple beam with an own weight that is typed. */
export function TrussForm({ item }: { item: Of<'truss'> }) {
  const { building, units } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const set = (change: Partial<Truss>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what={`truss, ${formatQuantity(planLength(body), 'length', units)}`}>
        {building.levels.find((level) => level.id === body.level)?.body.name}
      </PanelHead>
      <p className="text-[13px] text-soft">Taken down as a simple beam. Its chords, branches and joints are not verified here.</p>
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => set({ status: status as Truss['status'] }, `is ${status}`)}
        options={STATUS}
      />
      <OwnWeightField item={item} />

      <BeamSupports item={item} />

      <Strips item={item} />
      <SelectField
        label="Transfer truss"
        value={body.transfer}
        commit={(transfer) => set({ transfer: transfer as Truss['transfer'] }, 'transfer truss')}
        options={TRANSFER}
      />
      <BeamContinuity item={item} />
      <ReductionField item={item} />
      <TextField label="Note" value={body.note} commit={(note) => set({ note }, 'note')} />
      <BecomeButton item={item} kind="beam" />
    </div>
  );
}

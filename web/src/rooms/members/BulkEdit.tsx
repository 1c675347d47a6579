import { useState } from 'react';
import { readShape, STANDARDS, STEEL_GRADES, type Beam, type Item } from '@plinth/core';
import { useItems, useProject } from '../../project/context';
import { useEdit } from '../../project/useEdit';

type Member = Extract<Item, { kind: 'beam' | 'truss' | 'column' }>;

const KEEP = '';
const BRIEF = 'brief';

/** Changes what many members have in common, in one step that one undo takes back. */
export function BulkEdit({ chosen, clear }: { chosen: ReadonlySet<string>; clear: () => void }) {
  const { brief } = useProject();
  const { put } = useEdit();
  const items: readonly Member[] = [...useItems('beam'), ...useItems('truss'), ...useItems('column')].filter(({ id }) => chosen.has(id));
  const [section, setSection] = useState('');
  const [grade, setGrade] = useState(KEEP);
  const [restraint, setRestraint] = useState(KEEP);
  const [status, setStatus] = useState(KEEP);
  const [locked, setLocked] = useState(KEEP);
  const [error, setError] = useState<string | null>(null);
  const beams = items.filter((item) => item.kind === 'beam').length;
  const grades = STEEL_GRADES.filter(({ family }) => family === STANDARDS[brief.family].profile.materials);
  const nothing = !section.trim() && grade === KEEP && restraint === KEEP && status === KEEP && locked === KEEP;
  const apply = async () => {
    setError(null);
    try {
      const designation = section.trim() ? readShape(brief, section) : '';
      const changed = items.flatMap((item): Item[] => {
        const body = { ...item.body } as Record<string, unknown>;
        const isSteel = item.kind !== 'truss' && item.body.material === 'steel';
        if (designation && isSteel) body['section'] = designation;
        if (grade !== KEEP && isSteel) body['grade'] = grade === BRIEF ? null : grade;
        if (status !== KEEP) body['status'] = status;
        if (locked !== KEEP && item.kind !== 'truss') body['locked'] = locked === 'locked';
        if (restraint !== KEEP && item.kind === 'beam') body['restraint'] = restraint as Beam['restraint'];
        const before = item.body as unknown as Record<string, unknown>;
        return Object.keys(body).some((key) => body[key] !== before[key]) ? [{ ...item, body } as unknown as Item] : [];
      });
      const what = [
        designation,
        grade === KEEP ? '' : grade === BRIEF ? 'grade of the brief' : grade,
        restraint && `held by ${restraint}`,
        status && `are ${status}`,
        locked && `size ${locked}`,
      ];
      if (changed.length > 0) await put(changed, `${changed.length} members: ${what.filter(Boolean).join(', ')}`);
      clear();
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  const select = (label: string, value: string, set: (value: string) => void, options: readonly (readonly [string, string])[]) => (
    <label className="min-w-0 text-[12px] text-soft">
      <span className="whitespace-nowrap">{label}</span>
      <select className="field text-ink" value={value} onChange={(event) => set(event.target.value)}>
        <option value={KEEP}>as it is</option>
        {options.map(([of, title]) => (
          <option key={of} value={of}>
            {title}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <form
      aria-label="Change the chosen members"
      className="border-b border-rule bg-oxidewash px-2 pt-1 pb-2"
      onSubmit={(event) => {
        event.preventDefault();
        void apply();
      }}
    >
      <div className="flex items-end gap-3">
        <span className="self-center text-[13px] font-semibold whitespace-nowrap">{items.length} chosen</span>
        <label className="w-36 min-w-24 text-[12px] text-soft">
          Section
          <input
            className="field text-ink placeholder:text-soft"
            placeholder="as it is"
            autoComplete="off"
            value={section}
            aria-invalid={error !== null}
            onChange={(event) => setSection(event.target.value)}
          />
        </label>
        {select('Grade', grade, setGrade, [[BRIEF, 'as in the brief'], ...grades.map(({ id }) => [id, id] as const)])}
        {beams > 0
          ? select(beams < items.length ? `Flange, ${beams} beams` : 'Compression flange', restraint, setRestraint, [
              ['floor', 'held by the floor (assumed)'],
              ['supports', 'held by supports only'],
              ['points', 'held at points'],
            ])
          : null}
        {select('Size', locked, setLocked, [
          ['locked', 'locked'],
          ['free', 'free'],
        ])}
        {select('Status', status, setStatus, [
          ['new', 'new'],
          ['existing', 'existing'],
          ['removed', 'removed'],
        ])}
        <button type="submit" className="btn btn-main whitespace-nowrap" disabled={nothing || items.length === 0}>
          Change {items.length}
        </button>
        <button type="button" className="btn" onClick={clear}>
          None
        </button>
      </div>
      {error ? (
        <p role="alert" className="text-[12px] text-oxide">
          {error}
        </p>
      ) : null}
    </form>
  );
}

import { markOf, type BeamConnection, type PostConnection } from '@plinth/core';
import { OptionalQuantityField, TextField } from '../../../parts/fields';
import { useProject } from '../../../project/context';

/** What is said of a connection beside how it holds. */
export type SaidFields = Partial<Pick<BeamConnection, 'eccentricity' | 'joint'>>;

interface Props {
  readonly said: SaidFields | undefined;
  /** Whether it has an eccentricity: that of a beam which ends at the side of a column. */
  readonly eccentric: boolean;
  readonly commit: (change: SaidFields, what: string) => Promise<void>;
}

/** The eccentricity of a connection, and the joint that is chosen for it. */
export function ConnectionFields({ said, eccentric, commit }: Props) {
  return (
    <div className="mt-1 grid grid-cols-2 gap-2">
      <TextField
        label="joint"
        value={said?.joint ?? ''}
        commit={(joint) => commit({ joint: joint.trim() }, joint.trim() === '' ? 'no joint chosen' : `joint ${joint.trim()}`)}
      />
      {eccentric ? (
        <OptionalQuantityField
          label="from the column’s axis"
          kind="sectionLength"
          empty="nominal"
          value={said?.eccentricity ?? null}
          commit={(eccentricity) => commit({ eccentricity }, 'eccentricity')}
        />
      ) : null}
    </div>
  );
}

const WHERE = { start: 'its start', end: 'its end', along: 'its length', foot: 'its foot', head: 'its head' } as const;

type Said = BeamConnection | PostConnection;

interface LostProps<S extends Said> {
  readonly said: readonly S[];
  /** Whether such a connection is there. */
  readonly is: (one: S) => boolean;
  readonly clear: (one: S) => void;
}

/** What was said of connections that are not there any more. */
export function LostConnections<S extends Said>({ said, is, clear }: LostProps<S>) {
  const { building } = useProject();
  const lost = said.filter((one) => !is(one));
  if (lost.length === 0) return null;
  return (
    <ul aria-label="Connections that are gone" className="mt-2 text-[13px] text-oxide">
      {lost.map((one) => {
        const mark = markOf(building, one.to);
        return (
          <li key={`${one.to} ${one.end} ${one.contact}`}>
            The connection at {WHERE[one.end]} with {mark === one.to ? 'a deleted member' : mark} no longer exists: what is specified for it
            has no effect.{' '}
            <button type="button" className="btn-line" onClick={() => clear(one)}>
              Clear it
            </button>
          </li>
        );
      })}
    </ul>
  );
}

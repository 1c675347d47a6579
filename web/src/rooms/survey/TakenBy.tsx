import { BEARERS, formatQuantity, markOf, ruleInWords, type Item } from '@plinth/core';
import { SelectField } from '../../parts/fields';
import { useProject } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { ConnectionFields, LostConnections } from './forms/ConnectionFields';
import { supportOptions } from './place';
import { Proposals } from './Proposals';

/** What takes a member, as found or named. */
export function RestsOn({ id }: { id: string }) {
  const { building, computed } = useProject();
  const on = [...new Set(computed.takedown.bearers.get(id)?.map(({ by }) => (by === null ? '?' : markOf(building, by))))];
  return on.length > 0 && on.some((mark) => mark !== '?') ? <>{on.join(', ')}</> : <span className="text-oxide">nothing</span>;
}

/** What may be named for a post or a wall to stand on, or to hang from. */
const TAKEN_BY = {
  column: BEARERS,
  wall: ['beam', 'truss', 'wall', 'stripFooting'],
  hanger: ['beam', 'truss'],
} as const;

interface Supported {
  readonly item: Extract<Item, { kind: 'column' | 'hanger' | 'wall' }>;
}

/** What takes a post or a wall: found, or chosen from what there is. */
export function TakenBy({ item }: Supported) {
  return (
    <div className="flex items-center gap-2">
      {item.body.supportsFound ? (
        <span className="min-w-0 flex-1 truncate">
          <RestsOn id={item.id} />
        </span>
      ) : null}
      <SupportChoice item={item} />
    </div>
  );
}

function SupportChoice({ item }: Supported) {
  const { building } = useProject();
  const { patch } = useEdit();
  const { mark, supportsFound, by } = item.body;
  return (
    <SelectField
      quiet
      label={`What takes ${mark}`}
      value={supportsFound ? 'found' : (by ?? '')}
      commit={(value) =>
        patch(
          item as Extract<Item, { kind: 'column' }>,
          value === 'found' ? { supportsFound: true } : { supportsFound: false, by: value || null },
          `${mark} put on another support`,
        )
      }
      options={[{ value: 'found', label: 'found from the plan' }, ...supportOptions(building, item.id, TAKEN_BY[item.kind])]}
    />
  );
}

/** What a post or a wall stands on or hangs from, beside the plan: which rule found it, and where it is chosen instead. */
export function StandsOn({ item, title }: Supported & { title: string }) {
  const { building, computed, units } = useProject();
  const bearers = computed.takedown.bearers.get(item.id) ?? [];
  const found = bearers.filter(({ by }) => by !== null);
  const place = (at: number) => formatQuantity(at, 'length', units);
  return (
    <section aria-label={title}>
      <h3 className="label">{title}</h3>
      {found.map((bearer, i) => {
        const mark = markOf(building, bearer.by!);
        return (
          <p key={i} className="mt-1 border-l-2 border-rule pl-2 text-[13px]">
            <span className="font-semibold">{mark}</span>
            {'from' in bearer ? ` from ${place(bearer.from)} to ${place(bearer.to)}` : ''}
            {item.body.supportsFound ? <span className="block text-[12px] text-soft">found: {ruleInWords(bearer, mark)}</span> : null}
          </p>
        );
      })}
      {found.length === 0 ? (
        <p className="text-[13px] text-oxide">
          Nothing{item.body.supportsFound ? ` was found within ${place(building.brief.reach)}` : ' is named'}: draw what takes it, or name
          it.
        </p>
      ) : null}
      <SupportChoice item={item} />
      {item.kind === 'wall' ? <Proposals key={item.id} wall={item} /> : <PostConnection item={item} by={found[0]?.by ?? null} />}
    </section>
  );
}

/** The joint at the foot of a post, or at the head of a hanger. */
function PostConnection({ item, by }: { item: Extract<Item, { kind: 'column' | 'hanger' }>; by: string | null }) {
  const { patch, quietly } = useEdit();
  const { mark, connections } = item.body;
  const end = item.kind === 'column' ? 'foot' : 'head';
  const said = connections.find(({ to }) => to === by);
  const say = (list: typeof connections, what: string) =>
    patch(item as Extract<Item, { kind: 'column' }>, { connections: list }, `${mark}: ${what}`);
  return (
    <>
      {by === null ? null : (
        <ConnectionFields
          said={said}
          eccentric={false}
          commit={({ joint = '' }, what) => {
            const others = connections.filter((one) => one !== said);
            return say(joint === '' ? others : [...others, { to: by, end, contact: 1, joint }], what);
          }}
        />
      )}
      <LostConnections
        said={connections}
        is={({ to }) => to === by}
        clear={(one) =>
          quietly(
            say(
              connections.filter((other) => other !== one),
              'what was said of a connection is cleared',
            ),
          )
        }
      />
    </>
  );
}

import {
  BEARERS,
  contactsOf,
  endsAt,
  formatQuantity,
  isAmong,
  markOf,
  newSupport,
  planLength,
  ruleInWords,
  saidOf,
  saysAnything,
  saysHeld,
  withSaid,
  type Beam,
  type BeamConnection,
} from '@plinth/core';
import { CheckField, OptionalQuantityField, QuantityField, SelectField } from '../../../parts/fields';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { supportOptions } from '../place';
import type { Of } from './common';
import { ConnectionFields, LostConnections, type SaidFields } from './ConnectionFields';

type Support = Beam['supports'][number];
type Held = Omit<Support, 'at' | 'by'>;
type Contact = Pick<BeamConnection, 'end' | 'contact'>;

/** What a change of how a beam is held is called in the history. */
function heldWords({ holdsDown, fixed, spring, settlement }: Partial<Held>): string {
  if (spring !== undefined) return spring === null ? 'holds firm' : 'yields';
  if (settlement !== undefined) return settlement === 0 ? 'does not sink' : 'sinks';
  if (fixed !== undefined) return fixed ? 'fixed' : 'turns freely';
  return holdsDown ? 'held down' : 'not held down';
}

const FIRM: Held = { holdsDown: false, fixed: false, spring: null, settlement: 0 };

/** What a beam rests on, as found or as named, and how its connections hold it. */
export function BeamSupports({ item }: { item: Of<'beam'> | Of<'truss'> }) {
  const { building, computed, units } = useProject();
  const { patch, quietly } = useEdit();
  const { body } = item;
  const length = planLength(body);
  const options = supportOptions(building, item.id, [...BEARERS, 'hanger']);
  const set = (change: Partial<Pick<Beam, 'supports' | 'supportsFound' | 'connections'>>, what: string) =>
    patch(item, change, `${body.mark}: ${what}`);
  const found = (computed.takedown.bearers.get(item.id) ?? []).flatMap((bearer) => ('at' in bearer ? [bearer] : []));
  const contacts = contactsOf(found, length);
  const say = (by: string | null, contact: Contact, change: Partial<BeamConnection>, what: string) =>
    by === null ? Promise.resolve() : set({ connections: withSaid(body.connections, by, contact, change) }, what);
  const change = (i: number, change: Partial<Support>, what = 'support changed') =>
    set({ supports: body.supports.map((old, j) => (j === i ? { ...old, ...change } : old)) }, what);
  const nameThem = () => {
    const supports = found.map(({ rule: _, ...support }): Support => support);
    const connections = body.connections.map((one) => ({ ...one, ...FIRM })).filter(saysAnything);
    return set({ supportsFound: false, supports, connections }, 'supports named as they were found');
  };
  const findThem = () => {
    const places = [...body.supports].sort((a, b) => a.at - b.at);
    const at = contactsOf(places, length);
    const connections = places.reduce<BeamConnection[]>(
      (list, { at: _, by, ...held }, i) => (by !== null && saysHeld(held) ? withSaid(list, by, at[i]!, held) : list),
      [...body.connections],
    );
    return set({ supportsFound: true, supports: [], connections }, 'supports are found');
  };
  const more = (by: string | null, at: number, contact: Contact) =>
    by === null ? null : (
      <ConnectionFields
        said={saidOf(body.connections, by, contact)}
        eccentric={endsAt(at, length) && building.columns.get(by)?.beamsBear === 'nominal'}
        commit={(said: SaidFields, what: string) => say(by, contact, said, what)}
      />
    );
  const tooFew = found.length < 2 && !found.some(({ fixed }) => fixed);
  // two supports on which it turns freely take the same whatever they do
  const mayYield = found.length > 2 || found.some(({ fixed, spring, settlement }) => fixed || spring !== null || settlement !== 0);
  return (
    <section aria-label="Supports">
      <h3 className="label">Rests on</h3>
      {body.supportsFound ? (
        <>
          {found.map(({ at, by, rule, ...held }, i) => (
            <div key={`${at}-${by}`} className="mt-1 border-l-2 border-rule pl-2">
              <span className="font-semibold">{by === null ? 'nothing' : markOf(building, by)}</span> at{' '}
              {formatQuantity(at, 'length', units)}
              <span className="block text-[12px] text-soft">found: {ruleInWords({ rule }, by === null ? '' : markOf(building, by))}</span>
              <HoldFields held={held} yields={mayYield} commit={(held) => say(by, contacts[i]!, held, heldWords(held))} />
              {more(by, at, contacts[i]!)}
            </div>
          ))}
          {tooFew ? (
            <p className="text-[13px] text-oxide">
              {found.length === 0 ? 'Nothing' : 'Only one support'} was found within {formatQuantity(building.brief.reach, 'length', units)}
              : draw what carries it, or name it
              {found.length === 1 ? '; a cantilever is fixed to its one support' : ''}.
            </p>
          ) : null}
          <button type="button" className="btn-line mt-1" onClick={() => quietly(nameThem())}>
            Name them myself
          </button>
        </>
      ) : (
        <>
          {body.supports.map((entry, i) => (
            <div key={i} className="mt-1 grid grid-cols-[5rem_1fr_auto] items-end gap-2">
              <QuantityField label="at" kind="length" value={entry.at} commit={(at) => change(i, { at })} />
              <SelectField label="member" value={entry.by ?? ''} commit={(by) => change(i, { by: by || null })} options={options} />
              <button
                type="button"
                className="text-[12px] text-soft hover:text-oxide"
                onClick={() => quietly(set({ supports: body.supports.filter((_, j) => j !== i) }, 'support taken away'))}
              >
                Take away
              </button>
              <div className="col-span-3">
                <HoldFields held={entry} yields={mayYield} commit={(held) => change(i, held, heldWords(held))} />
                {contacts[i] ? more(entry.by, entry.at, contacts[i]) : null}
              </div>
            </div>
          ))}
          <div className="mt-1 flex gap-4">
            <button
              type="button"
              className="btn-line"
              onClick={() => quietly(set({ supports: [...body.supports, newSupport(length)] }, 'support added'))}
            >
              Add a support
            </button>
            <button type="button" className="btn-line" onClick={() => quietly(findThem())}>
              Find them from the plan
            </button>
          </div>
        </>
      )}
      <LostConnections
        said={body.connections}
        is={(one) => isAmong(one, found, contacts)}
        clear={(one) =>
          quietly(set({ connections: body.connections.filter((other) => other !== one) }, 'what was said of a connection is cleared'))
        }
      />
    </section>
  );
}

interface HoldProps {
  readonly held: Held;
  /** Whether it is asked how far the support goes down. */
  readonly yields: boolean;
  readonly commit: (change: Partial<Held>) => Promise<void>;
}

function HoldFields({ held, yields, commit }: HoldProps) {
  return (
    <>
      <div className="flex gap-4">
        <CheckField label="holds down" value={held.holdsDown} commit={(holdsDown) => commit({ holdsDown })} />
        <CheckField label="fixed against turning" value={held.fixed} commit={(fixed) => commit({ fixed })} />
      </div>
      {yields ? (
        <div className="mt-1 grid grid-cols-2 gap-2">
          <OptionalQuantityField
            label="yields, force per length"
            kind="lineLoad"
            empty="holds firm"
            value={held.spring}
            commit={(spring) => commit({ spring })}
          />
          <QuantityField label="may sink by" kind="sectionLength" value={held.settlement} commit={(settlement) => commit({ settlement })} />
        </div>
      ) : null}
    </>
  );
}

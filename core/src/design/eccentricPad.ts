import type { Brief } from '../building';
import type { Combination } from '../load';
import { quantitySaid } from '../takedown';
import { byRule, compare, unproven, type Check, type Sheet } from '../sheet';
import {
  eccentricBearing,
  isInFullContact,
  LEAST_CONTACT,
  recordEccentric,
  recordResultant,
  sizeEccentric,
  type EccentricBearing,
} from './eccentricBearing';
import type { PadBearing, PadDemand, PadFactored, PadSize } from './padDemand';
import type { Ground } from './padBearing';
import { padSets, type PadSet, type PlacedLoad } from './padLoads';

/** Loads that stand within this of each other stand in one place, mm. */
const ONE_PLACE = 1;

const BEARING = { id: 'bearing', name: 'Bearing' } as const;
const CONTACT = { id: 'contact', name: 'Contact with the ground' } as const;
const CONCRETE = { id: 'strength-eccentric', name: 'Strength of its concrete' } as const;
const TOP_BARS = { id: 'top-bars', name: 'Top bars' } as const;

/**
 * What loads that stand off the middle of a pad ask of it: of its size under the service combinations, with what of it is in contact; of its concrete under the
 * factored ones, with their own pressure. Null where no compression reaches it.
 */
export function eccentricDemand(
  loads: readonly PlacedLoad[],
  inService: readonly Combination[],
  forStrength: readonly Combination[],
  { units }: Brief,
): PadDemand | null {
  const known = new Map<string, { readonly service: readonly PadSet[]; readonly strength: readonly PadSet[] }>();
  const setsOf = ({ width, length }: PadSize) => {
    const key = `${width} ${length}`;
    let sets = known.get(key);
    if (!sets)
      known.set(key, (sets = { service: padSets(loads, inService, width, length), strength: padSets(loads, forStrength, width, length) }));
    return sets;
  };
  const mostOf = (sets: readonly PadSet[]) => sets.reduce((a, b) => (b.resultant.force > a.resultant.force ? b : a));
  const any = setsOf({ width: 1000, length: 1000 });
  if (any.service.length === 0 || any.strength.length === 0) return null;
  const service = mostOf(any.service).resultant.force;
  if (service <= 0) return null;
  return {
    service,
    size: (given, step, thickness, ground) => sizeEccentric((width, length) => setsOf({ width, length }), given, step, thickness, ground),
    bearing: (size, thickness, ground, source, sheet) => bearingOf(setsOf(size).service, size, thickness, ground, source, sheet),
    strength: (size, thickness, ground, sheet) => {
      const { strength } = setsOf(size);
      const set = mostOf(strength);
      const inner = sheet?.scope(`Strength, ${set.combination.name} (${set.combination.clause})`);
      if (inner) recordResultant(set, inner);
      return { ...strengthOf(loads, strength, set, size, thickness, ground, units, inner), sheet: inner };
    },
  };
}

function bearingOf(
  sets: readonly PadSet[],
  size: PadSize,
  thickness: number,
  ground: Ground,
  source: string,
  sheet: Sheet | undefined,
): PadBearing {
  const { width, length } = size;
  const found = sets.map((set) => ({ set, bearing: eccentricBearing(set, width, length, thickness, ground) }));
  const over = found.find(({ bearing }) => bearing === null);
  if (over) {
    const { combination } = over.set;
    const inner = sheet?.scope(`Bearing on the soil, ${combination.name} (${combination.clause})`);
    if (inner) recordResultant(over.set, inner);
    const reason =
      'the load with pad and backfill has no equilibrium on the ground: its resultant lies off the pad, or is uplift; it overturns';
    inner?.note(`${reason}.`);
    const short = (): Check => ({
      ...BEARING,
      clause: byRule(`allowable bearing, ${ground.basis}`),
      mode: 'service',
      kind: 'bearing',
      demand: null,
      capacity: ground.allowable,
      utilisation: null,
      verdict: 'short',
      combination: combination.name,
      reason,
    });
    return { pressure: Infinity, sheet: inner, checks: () => [short()] };
  }
  const bearings = found.map(({ bearing }) => bearing!);
  const worst = bearings.reduce((a, b) => (b.pressure > a.pressure ? b : a));
  const least = bearings.reduce((a, b) => (b.contact.contact < a.contact.contact ? b : a));
  const scopeOf = ({ set: { combination } }: EccentricBearing) =>
    sheet?.scope(`Bearing on the soil, ${combination.name} (${combination.clause})`);
  const inner = scopeOf(worst);
  recordEccentric(worst, width, length, thickness, ground, inner);
  inner?.given('q_a', ground.allowable, 'bearing', `allowable bearing, ${ground.basis}`, source);
  const checks = () => {
    const list = [
      compare(
        {
          ...BEARING,
          clause: byRule(`allowable bearing, ${ground.basis}`),
          mode: 'service',
          kind: 'bearing',
          demand: worst.pressure,
          demandSymbol: ground.basis === 'gross' ? 'q' : 'q_n',
          capacity: ground.allowable,
          capacitySymbol: 'q_a',
          combination: worst.set.combination.name,
        },
        inner,
      ),
    ];
    if (isInFullContact(least)) return list;
    const lifted = least === worst ? inner : scopeOf(least);
    if (least !== worst) recordEccentric(least, width, length, thickness, ground, lifted);
    const part = 1 - least.contact.contact;
    lifted?.step('l_b', '1 - c_b', { c_b: least.contact.contact }, part, 'ratio', 'statics', 'part of the base without contact');
    lifted?.given('l_a', 1 - LEAST_CONTACT, 'ratio', 'at least half of the base is to be in contact', 'rule');
    list.push(
      compare(
        {
          ...CONTACT,
          clause: byRule('at least half of the base in contact'),
          mode: 'service',
          kind: 'ratio',
          demand: part,
          demandSymbol: 'l_b',
          capacity: 1 - LEAST_CONTACT,
          capacitySymbol: 'l_a',
          combination: least.set.combination.name,
        },
        lifted,
      ),
    );
    return list;
  };
  return { pressure: worst.pressure, sheet: inner, checks };
}

/** What its concrete has to carry: of loads in one place that leave the whole base in contact. */
function strengthOf(
  loads: readonly PlacedLoad[],
  sets: readonly PadSet[],
  { combination, resultant }: PadSet,
  { width, length }: PadSize,
  thickness: number,
  ground: Ground,
  units: Brief['units'],
  sheet: Sheet | undefined,
): Pick<PadFactored, 'factored' | 'off' | 'checks'> {
  const missing = (reason: string) => ({ factored: null, checks: [unproven(CONCRETE, byRule('statics'), 'ductile', reason, sheet)] });
  const [first] = loads;
  if (loads.some(({ x, y }) => Math.hypot(x - first!.x, y - first!.y) > ONE_PLACE))
    return missing('it is loaded in several places: bending and shear under that are not calculated');
  const lifting = sets.find((set) => !isInFullContact(eccentricBearing(set, width, length, thickness, ground)));
  if (lifting)
    return missing(
      `under ${lifting.combination.name} a part of the base has no contact with the ground: bending and shear under that are not calculated; a larger pad keeps contact`,
    );
  const off = { x: first!.x, y: first!.y };
  const checks: Check[] = [];
  if (Math.abs(off.x) > width / 6 || Math.abs(off.y) > length / 6)
    checks.push(
      unproven(
        TOP_BARS,
        byRule('statics'),
        'ductile',
        `its load is ${quantitySaid(Math.hypot(off.x, off.y), 'sectionLength', units)} off the centre, outside the middle third: the far side may hog under its self-weight, and top bars are not designed`,
        sheet,
      ),
    );
  return { factored: { force: resultant.force, combination: combination.name }, off, checks };
}

import { storeyOf, type Building } from '../building';
import { caseIn, sumByCase } from '../load';
import { formatQuantity } from '../quantity';
import { Sheet } from '../sheet';
import { shapeForce, type MemberLedger, type Takedown } from '../takedown';

/** What lands on a member and what it hands on: the part of every sheet that comes before any check. */
export function recordTakedown(building: Building, id: string, ledger: MemberLedger, sheet: Sheet): void {
  recordMeasured(building, id, sheet);
  recordOwnWeight(building, id, ledger, sheet);
  recordStrips(building, id, ledger, sheet);
  recordReactions(building, ledger, sheet.scope('What arrives and what leaves at each support, unfactored'));
}

/** Which dimensions were measured, from which drawing and scale. */
function recordMeasured(building: Building, id: string, sheet: Sheet): void {
  const { units } = building.brief;
  const member = building.beams.get(id) ?? building.walls.get(id);
  const length = (value: number) => formatQuantity(value, 'length', units);
  for (const { field, by, exact } of member?.measured ?? []) {
    const measurement = building.measurements.find((entry) => entry.id === by)?.body;
    if (!measurement) continue;
    const strip = /^strips\.(\d+)\.width$/.exec(field);
    const what = strip ? `Width of strip ${Number(strip[1]) + 1}` : 'Length';
    const from = measurement.source ? ` from ${measurement.source}` : ' on the plan, with no drawing beneath';
    sheet.note(`${what}: measured as "${measurement.name}"${from}; ${length(exact)} exactly.`);
  }
}

/** Own weight by its length, of a post by its height, of a wall by its face less its openings. */
function recordOwnWeight(building: Building, id: string, ledger: MemberLedger, sheet: Sheet): void {
  const wall = building.walls.get(id);
  const post = building.columns.get(id) ?? building.hangers.get(id);
  const own = ledger.arrivals.filter(({ source }) => source.type === 'ownWeight');
  if (own.length === 0) return;
  const part = sheet.scope('Own weight, unfactored');
  own.forEach(({ shape, byCase, label }, i) => {
    const weight = Object.values(byCase).reduce((sum, value) => sum + value, 0);
    const G = own.length > 1 ? `G_${i + 1}` : 'G';
    if (wall && shape.type === 'distributed') {
      const [h, l] = own.length > 1 ? [`h_${i + 1}`, `l_${i + 1}`] : ['h', 'l'];
      if (i === 0) part.given('w', weight, 'areaLoad', 'weight per area of its face');
      part.given(h, shape.start, 'length', label === 'own weight' ? 'height' : 'height less the opening');
      part.given(l, shape.to - shape.from, 'length', `from ${formatQuantity(shape.from, 'length', building.brief.units)} on`);
      const inputs = { w: weight, [h]: shape.start, [l]: shape.to - shape.from };
      part.step(G, `w * ${h} * ${l}`, inputs, weight * shapeForce(shape), 'force', 'statics', label);
    } else {
      const l = shape.type === 'distributed' ? shape.to - shape.from : post ? storeyOf(building, post) : 0;
      if (l === 0) return;
      const whole = weight * shapeForce(shape);
      part.given('g', whole / l, 'lineLoad', label);
      part.given('l', l, 'length', post ? 'height' : 'length');
      part.step(G, 'g * l', { g: whole / l, l }, whole, 'force', 'statics', label);
    }
  });
}

/** Strips and shares of panels, from the layers of their build-up to their load on the member: intensity times mean width times length. */
function recordStrips(building: Building, id: string, ledger: MemberLedger, sheet: Sheet): void {
  ledger.arrivals.forEach((arrival, i) => {
    const { source, shape } = arrival;
    if (shape.type !== 'distributed' || (source.type !== 'strip' && source.type !== 'panel')) return;
    const laid =
      source.type === 'strip'
        ? { buildUp: source.buildUp, pitch: building.beams.get(id)!.strips[source.index]!.pitch }
        : building.panels.get(source.panel)!;
    const buildUp = building.buildUps.get(laid.buildUp)!;
    const inner = sheet.scope(`Arrival ${i + 1}: ${arrival.label} (${buildUp.name})`);
    const sums = [...sumByCase(buildUp, laid.pitch, inner, building.cases)];
    const strip = source.type === 'strip' ? building.beams.get(id)!.strips[source.index]! : null;
    const rounded = (exact: number | null | undefined) =>
      exact === null || exact === undefined ? '' : `, rounded up from ${formatQuantity(exact, 'length', building.brief.units)}`;
    inner.given('b_1', shape.start, 'length', `width at the start${rounded(strip?.exactStart)}`);
    inner.given('b_2', shape.end, 'length', `width at the end${rounded(strip?.exactEnd)}`);
    inner.given('l', shape.to - shape.from, 'length', 'length on the beam');
    sums.forEach(([caseId, intensity], n) => {
      const [q, W] = [`q_${n + 1}`, `W_${n + 1}`];
      const inputs = { [q]: intensity, b_1: shape.start, b_2: shape.end, l: shape.to - shape.from };
      inner.step(
        W,
        `${q} * (b_1 + b_2) / 2 * l`,
        inputs,
        intensity * shapeForce(shape),
        'force',
        'statics',
        caseIn(building.cases, caseId).name,
      );
    });
  });
}

/** Reactions as sums over arrivals: share of the arrival times its value, case by case. */
function recordReactions({ brief: { units }, cases }: Building, ledger: MemberLedger, sheet: Sheet): void {
  ledger.leaves.forEach((leave, j) => {
    const inner = sheet.scope(ledger.leaves.length > 1 ? `Support ${j + 1}, at ${formatQuantity(leave.at, 'length', units)}` : 'Below');
    for (const caseId of Object.keys(leave.byCase)) {
      const part = inner.scope(caseIn(cases, caseId).name);
      const names: string[] = [];
      const inputs: Record<string, number> = {};
      let sum = 0;
      ledger.arrivals.forEach((arrival, i) => {
        const value = arrival.byCase[caseId];
        if (!value) return;
        const whole = shapeForce(arrival.shape);
        if (whole === 0) {
          // no load: what a support that sinks takes from one support to another
          const Z = `Z_${i + 1}`;
          inputs[Z] = leave.shares[i]! * value;
          part.given(Z, inputs[Z], 'force', arrival.label, 'beam solution');
          names.push(Z);
          sum += inputs[Z];
          return;
        }
        const [W, k] = [`W_${i + 1}`, `k_${i + 1}`];
        part.given(W, value * whole, 'force', arrival.label);
        inputs[k] = leave.shares[i]! / whole;
        part.given(k, inputs[k], 'ratio', 'share that goes to this support, by the lever or by the beam solution');
        names.push(`${k} * ${W}`);
        inputs[W] = value * whole;
        sum += inputs[k]! * inputs[W]!;
      });
      if (names.length) part.step('R', names.join(' + '), inputs, sum, 'force', 'statics', 'reaction, unfactored');
    }
  });
}

/** The sheet of what is taken down but not designed here: walls and hangers. */
export function takedownSheet(building: Building, takedown: Takedown, id: string): Sheet {
  const sheet = new Sheet();
  sheet.note('Taken down here, not designed: its own strength must be proved elsewhere.');
  recordTakedown(building, id, takedown.members.get(id)!, sheet);
  return sheet;
}

import { AISC360 } from '../documents';
import { yieldStrength } from '../../../material';
import { unequalParts, type Section, type UnequalIShape } from '../../../section';
import { compare, unproven, type Check, type CheckName, type FailureMode, type Sheet } from '../../../sheet';
import { pressedFlanges, segmentRange, type Philosophy, type Segment, type SteelBeamInput } from '../../standard';
import { availableStrength, FLEXURE, type Flexure } from './available';
import { momentGradientFactor } from './flexure';
import {
  compressionFlangeBuckling,
  compressionFlangeYielding,
  lateralTorsionalUnequal,
  pressed,
  record,
  tensionFlangeYielding,
  type Pressed,
} from './unequalStrengths';

/** What of F4, F5 and F13.2 a shape is outside of, in words; null: nothing. */
function outside(p: Pressed, shape: UnequalIShape): string | null {
  if (p.share < 0.1 || p.share > 0.9) return 'the compression flange has less than a tenth or more than nine tenths of I_y (F13.2)';
  if (p.web === 'slender' && unequalParts(shape).hw / shape.tw > 260) return 'the web is beyond h/tw of 260 without stiffeners (F13.2)';
  if (p.web === 'slender' && p.aw > 10) return 'the web is more than ten times its flange (F13.2)';
  return null;
}

/**
 * Welded I of unequal flanges about its major axis, AISC 360-16 F4 (compact and noncompact webs) and F5 (slender webs), with whichever flange the
 * moments press; where nothing says that only one is, both.
 */
export function unequalBending({ section, grade, actions }: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Flexure {
  const { combination, moment, segments, range } = actions;
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  const shape = section.shape as UnequalIShape;
  const all = pressedFlanges(actions).map((side) => pressed(section, side, E, Fy));
  for (const p of all) {
    const reason = outside(p, shape);
    if (reason)
      return {
        available: null,
        checks: [
          unproven(
            { id: 'bending', name: 'Bending' },
            AISC360('F'),
            'instability',
            `${section.designation}: ${reason}, which is not written`,
            sheet,
          ),
        ],
      };
  }
  const checks: Check[] = [];
  let available: number | null = Infinity;
  // each flange against the moment that compresses it
  const momentOn = ({ side }: Pressed) => (range ? range[side === 'top' ? 1 : 0] : moment);
  const add = (name: CheckName, clause: string, mode: FailureMode, of: (p: Pressed, inner?: Sheet) => number | null) => {
    let worst: { p: Pressed; Mn: number; ratio: number } | undefined;
    for (const p of all) {
      const Mn = of(p);
      if (Mn === null) continue;
      const ratio = Math.abs(momentOn(p)) / Mn;
      if (!worst || ratio > worst.ratio) worst = { p, Mn, ratio };
    }
    if (!worst) return;
    const demand = momentOn(worst.p);
    const inner = sheet?.scope(name.name);
    inner?.given('M_r', demand, 'moment', `required flexural strength with the ${worst.p.side} flange in compression, ${combination}`);
    record(section, worst.p, E, Fy, inner);
    of(worst.p, inner);
    const symbol = name === YIELDING ? 'M_1' : 'M_n';
    const capacity = availableStrength(worst.Mn, FLEXURE, philosophy, { nominal: symbol, available: 'M_c' }, 'moment', inner);
    available = Math.min(available ?? Infinity, capacity);
    const chapter = worst.p.web === 'slender' ? 'F5' : 'F4';
    checks.push(
      compare(
        {
          id: name.id,
          part: name.part,
          name: name.name,
          clause: AISC360(`${chapter}.${clause}`),
          mode,
          kind: 'moment',
          demand,
          demandSymbol: 'M_r',
          capacity,
          capacitySymbol: 'M_c',
          combination,
        },
        inner,
      ),
    );
  };
  add(YIELDING, '1', 'ductile', (p, inner) => compressionFlangeYielding(p, E, Fy, inner));
  add({ id: 'flange-local-buckling', name: 'Flange local buckling' }, '3', 'instability', (p, inner) =>
    compressionFlangeBuckling(p, E, Fy, inner),
  );
  add({ id: 'tension-flange-yielding', name: 'Tension flange yielding' }, '4', 'ductile', (p, inner) =>
    tensionFlangeYielding(p, E, Fy, inner),
  );

  let worst: { segment: Segment; ratio: number } | undefined;
  for (const segment of segments) {
    const check = lateral(segment, section, philosophy, combination, E, Fy);
    const ratio = check.verdict === 'unproven' ? Infinity : (check.utilisation ?? Infinity);
    if (!worst || ratio > worst.ratio) worst = { segment, ratio };
  }
  if (worst) {
    const check = lateral(worst.segment, section, philosophy, combination, E, Fy, sheet?.scope('Lateral-torsional buckling'));
    checks.push(check);
    available = check.verdict === 'unproven' || check.capacity === null ? null : Math.min(available, check.capacity);
  }
  return { checks, available };
}

const YIELDING: CheckName = { id: 'bending-yielding', name: 'Bending, yielding' };

/** The moment changes its sign within the segment: both flanges are pressed somewhere. */
function isReversed({ quarters, peak, ends = [0, 0] }: Segment): boolean {
  return [...quarters, ...ends].some((value) => value * peak < 0);
}

function lateral(
  segment: Segment,
  section: Section,
  philosophy: Philosophy,
  combination: string,
  E: number,
  Fy: number,
  sheet?: Sheet,
): Check {
  const name = { id: 'lateral-torsional-buckling', name: 'Lateral-torsional buckling' } as const;
  const where = `${segment.flange ? `${segment.flange} flange ` : ''}from ${+(segment.from / 304.8).toFixed(2)} ft to ${+(segment.to / 304.8).toFixed(2)} ft`;
  if (segment.freeTip || segment.loadOnTop)
    return unproven(
      name,
      AISC360('F4'),
      'instability',
      `${segment.freeTip ? `the overhang ${where} has a tip that nothing braces` : `load on the top flange ${where} lowers the strength`}: its own solution is written for an I with a compact web`,
      sheet,
    );
  const L = segment.to - segment.from;
  const reversed = isReversed(segment);
  const sides = reversed ? (['top', 'bottom'] as const) : ([segment.peak >= 0 ? 'top' : 'bottom'] as const);
  // F1 gives Cb for one sense of curvature; where it turns round none is counted, and each flange stands against the moment that compresses it
  const Cb = reversed ? 1 : momentGradientFactor(segment);
  const [least, most] = segmentRange(segment);
  let worst: { p: Pressed; Mn: number; demand: number } | undefined;
  for (const side of sides) {
    const p = pressed(section, side, E, Fy);
    const Mn = lateralTorsionalUnequal(p, L, Cb, E, Fy);
    const demand = side === 'top' ? most : least;
    if (!worst || Math.abs(demand) / Mn > Math.abs(worst.demand) / worst.Mn) worst = { p, Mn, demand };
  }
  const { p, Mn, demand } = worst!;
  sheet?.given('M_s', demand, 'moment', `largest moment in the segment that compresses the ${p.side} flange`);
  sheet?.note(`Segment ${where}, braced at its ends; load at the shear centre.`);
  if (reversed) sheet?.step('C_b', '1', {}, 1, 'ratio', 'F1', 'the moment turns round: no help is counted');
  else momentGradientFactor(segment, sheet);
  record(section, p, E, Fy, sheet);
  lateralTorsionalUnequal(p, L, Cb, E, Fy, sheet);
  const capacity = availableStrength(Mn, FLEXURE, philosophy, { nominal: 'M_n', available: 'M_c' }, 'moment', sheet);
  return compare(
    {
      id: name.id,
      name: name.name,
      clause: p.web === 'slender' ? AISC360('F5.2') : AISC360('F4.2'),
      mode: 'instability',
      kind: 'moment',
      demand,
      demandSymbol: 'M_s',
      capacity,
      capacitySymbol: 'M_c',
      combination,
      reason: where,
    },
    sheet,
  );
}

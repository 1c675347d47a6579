import { yieldStrength } from '../../../material';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type Philosophy, type Segment, type SteelBeamInput } from '../../standard';
import { availableStrength, FLEXURE } from './available';
import {
  flangeLocalBucklingBox,
  flangeLocalBucklingI,
  lateralTorsionalBox,
  lateralTorsionalI,
  momentGradientFactor,
  plasticMoment,
} from './flexure';
import { shearStrength } from './shear';
import { compactness, flangeInFlexure, recordShape, webInFlexure } from './slenderness';

interface Context extends SteelBeamInput {
  readonly philosophy: Philosophy;
  readonly E: number;
  readonly Fy: number;
  readonly Mp: number;
}

/**
 * Rolled steel beam about its major axis, AISC 360-16 chapters F and G: yielding, lateral-torsional buckling, flange local
 * buckling, shear; by resistance factors or by allowable strength as the philosophy says. Actions must be of its basis.
 */
export function steelBeam(input: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions } = input;
  requireBasis(actions.basis, philosophy.basis);
  const { combination } = actions;
  const { outline } = section.shape;
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  recordShape(section, sheet);
  sheet?.given('E', E, 'stress', 'modulus of elasticity', 'AISC 360-16');
  sheet?.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
  sheet?.given('M_r', actions.moment, 'moment', `required flexural strength, ${combination}`);
  sheet?.given('V_r', actions.shear, 'force', `required shear strength, ${combination}`);
  const checks: Check[] = [];

  const local = sheet?.scope('Local slenderness');
  const round = outline === 'tube';
  const flange = compactness(flangeInFlexure(section), E, Fy, round, local);
  const webElement = webInFlexure(section);
  const web = webElement ? compactness(webElement, E, Fy, false, local) : 'compact';
  if (
    web !== 'compact' ||
    (round && flange !== 'compact') ||
    (outline === 'box' && flange === 'slender') ||
    (outline === 'channel' && flange !== 'compact')
  ) {
    const what =
      web !== 'compact'
        ? `the web is ${web} (F4, F5, F7.3)`
        : `the ${round ? 'wall' : 'flange'} is ${flange} (${round ? 'F8.2' : 'F7.2(c), F6'})`;
    return [unproven('Bending', 'AISC 360-16 F', 'instability', `${section.designation}: ${what}, which is not written yet`, sheet)];
  }

  const yielding = sheet?.scope('Yielding');
  const Mp = plasticMoment(section, Fy, yielding);
  const context: Context = { ...input, philosophy, E, Fy, Mp };
  const moment = (
    name: string,
    clause: string,
    mode: Check['mode'],
    Mn: number,
    symbol: string,
    inner: Sheet | undefined,
    demand = actions.moment,
    demandSymbol = 'M_r',
    reason?: string,
  ) =>
    compare(
      {
        name,
        clause,
        mode,
        kind: 'moment',
        demand,
        demandSymbol,
        capacity: availableStrength(Mn, FLEXURE, philosophy, { nominal: symbol, available: 'M_c' }, 'moment', inner),
        capacitySymbol: 'M_c',
        combination,
        reason,
      },
      inner,
    );
  checks.push(moment('Bending, yielding', 'AISC 360-16 F2.1', 'ductile', Mp, 'M_p', yielding));

  if (flange !== 'compact') {
    const inner = sheet?.scope('Flange local buckling');
    inner?.given('M_p', Mp, 'moment', 'plastic moment, from above');
    const Mn =
      outline === 'box' ? flangeLocalBucklingBox(section, Mp, E, Fy, inner) : flangeLocalBucklingI(section, flange, Mp, E, Fy, inner);
    checks.push(
      moment('Flange local buckling', outline === 'box' ? 'AISC 360-16 F7.2' : 'AISC 360-16 F3.2', 'instability', Mn, 'M_n', inner),
    );
  }

  let worst: { segment: Segment; ratio: number } | undefined;
  for (const segment of actions.segments) {
    const check = lateralTorsionalCheck(segment, context);
    const ratio = check.verdict === 'unproven' ? Infinity : (check.utilisation ?? Infinity);
    if (!worst || ratio > worst.ratio) worst = { segment, ratio };
  }
  if (worst) checks.push(lateralTorsionalCheck(worst.segment, context, sheet?.scope('Lateral-torsional buckling')));

  const inner = sheet?.scope('Shear');
  const shear = shearStrength(section, E, Fy, inner);
  checks.push(
    shear
      ? compare(
          {
            name: 'Shear',
            clause: outline === 'box' ? 'AISC 360-16 G4' : 'AISC 360-16 G2.1',
            mode: 'ductile',
            kind: 'force',
            demand: actions.shear,
            demandSymbol: 'V_r',
            capacity: availableStrength(shear.nominal, shear.safety, philosophy, { nominal: 'V_n', available: 'V_c' }, 'force', inner),
            capacitySymbol: 'V_c',
            combination,
          },
          inner,
        )
      : unproven('Shear', 'AISC 360-16 G', 'ductile', 'shear of round and of very slender hollow shapes is not written yet', inner),
  );
  return checks;
}

function lateralTorsionalCheck(segment: Segment, { section, actions, philosophy, E, Fy, Mp }: Context, sheet?: Sheet): Check {
  const name = 'Lateral-torsional buckling';
  const { shape } = section;
  const { combination } = actions;
  const L = segment.to - segment.from;
  const where = `from ${+(segment.from / 304.8).toFixed(2)} ft to ${+(segment.to / 304.8).toFixed(2)} ft`;
  const notSusceptible = shape.outline === 'tube' || (shape.outline === 'box' && shape.h <= shape.b);
  const clause = shape.outline === 'I' ? 'AISC 360-16 F2.2' : shape.outline === 'tube' ? 'AISC 360-16 F8' : 'AISC 360-16 F7.4';
  if (shape.outline === 'channel')
    return unproven(
      name,
      'AISC 360-16 F2.2',
      'instability',
      'a channel twists unless it is loaded through its shear centre; its own check is not written yet',
      sheet,
    );
  sheet?.note(`Segment ${where}, braced against lateral displacement and twist at its ends; load at the shear centre.`);
  if (segment.freeTip && !notSusceptible) {
    // F1(b): Cb = 1 for overhangs, but it takes warping to be held at the root, which a beam running over its support does not give
    return unproven(
      name,
      clause,
      'instability',
      `the overhang ${where} has a tip that nothing braces; it needs its own solution, which is not written yet`,
      sheet,
    );
  }
  sheet?.given('M_s', segment.peak, 'moment', 'largest moment in the segment');
  sheet?.given('M_p', Mp, 'moment', 'plastic moment, from above');
  let Mn: number;
  if (notSusceptible) {
    sheet?.note('A hollow shape no deeper than wide does not buckle laterally.');
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', clause);
    Mn = Mp;
  } else {
    const Cb = momentGradientFactor(segment, sheet);
    Mn =
      shape.outline === 'box' ? lateralTorsionalBox(section, L, Cb, Mp, E, Fy, sheet) : lateralTorsionalI(section, L, Cb, Mp, E, Fy, sheet);
  }
  const capacity = availableStrength(Mn, FLEXURE, philosophy, { nominal: 'M_n', available: 'M_c' }, 'moment', sheet);
  return compare(
    {
      name,
      clause,
      mode: 'instability',
      kind: 'moment',
      demand: segment.peak,
      demandSymbol: 'M_s',
      capacity,
      capacitySymbol: 'M_c',
      combination,
      reason: where,
    },
    sheet,
  );
}

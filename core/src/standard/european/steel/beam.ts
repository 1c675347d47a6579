import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type Philosophy, type Segment, type SteelBeamInput } from '../../standard';
import { bendingModulus, bendingResistance, bendingResistanceWithShear } from './bending';
import { classify, recordShape, sectionYield } from './classification';
import { criticalMoment, lateralTorsionalResistance, momentGradientFactor } from './lateralTorsional';
import { isWebStocky, shearArea, shearBucklingResistance, shearResistance } from './shear';

/**
 * Rolled steel beam about its major axis: bending, shear, both together, and lateral-torsional buckling segment by segment.
 * EN 1993-1-1 6.2.5, 6.2.6, 6.2.8, 6.3.2. Actions must be factored.
 */
export function steelBeam({ section, grade, actions }: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  requireBasis(actions.basis, philosophy.basis);
  const { combination } = actions;
  const checks: Check[] = [];
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  const sectionClass = classify(section, fy, 'bending', sheet?.scope('Class of the section'));
  if (sectionClass === 4)
    return [
      unproven(
        'Bending',
        'EN 1993-1-1 6.2.5',
        'instability',
        `${section.designation} is of class 4 in bending in ${grade.id}: effective sections are not written yet`,
        sheet,
      ),
    ];
  sheet?.given('M_Ed', actions.moment, 'moment', `largest design moment, ${combination}`);
  sheet?.given('V_Ed', actions.shear, 'force', `largest design shear, ${combination}`);

  const bending = sheet?.scope('Bending');
  const W = bendingModulus(section, sectionClass, bending);
  const McRd = bendingResistance(W, fy, bending);
  checks.push(
    compare(
      {
        name: 'Bending',
        clause: 'EN 1993-1-1 6.2.5',
        mode: 'ductile',
        kind: 'moment',
        demand: actions.moment,
        demandSymbol: 'M_Ed',
        capacity: McRd,
        capacitySymbol: 'M_cRd',
        combination,
      },
      bending,
    ),
  );

  const shear = sheet?.scope('Shear');
  shear?.given('gamma_M0', 1, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
  const VplRd = shearResistance(shearArea(section, shear), fy, shear);
  shear?.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, Math.sqrt(235 / fy), 'ratio', 'table 5.2');
  const stocky = isWebStocky(section, fy, shear);
  const { shape } = section;
  if (stocky) {
    checks.push(
      compare(
        {
          name: 'Shear',
          clause: 'EN 1993-1-1 6.2.6',
          mode: 'ductile',
          kind: 'force',
          demand: actions.shear,
          demandSymbol: 'V_Ed',
          capacity: VplRd,
          capacitySymbol: 'V_plRd',
          combination,
        },
        shear,
      ),
    );
    if (Math.abs(actions.shear) > 0.5 * VplRd) checks.push(bendingBesideShear({ section, grade, actions }, McRd, VplRd, fy, sheet));
  } else if (shape.outline === 'I' || shape.outline === 'channel') {
    const VbRd = shearBucklingResistance(shape.h - 2 * shape.tf, shape.tw, fy, shear);
    const reason = 'the web is slender: transverse stiffeners are needed at the supports (5.1(2))';
    checks.push(
      compare(
        {
          name: 'Shear buckling',
          clause: 'EN 1993-1-5 5.2',
          mode: 'instability',
          kind: 'force',
          demand: actions.shear,
          demandSymbol: 'V_Ed',
          capacity: Math.min(VbRd, VplRd),
          capacitySymbol: VbRd <= VplRd ? 'V_bRd' : 'V_plRd',
          combination,
          reason,
        },
        shear,
      ),
    );
    if (Math.abs(actions.shear) > 0.5 * VbRd)
      checks.push(
        unproven(
          'Bending beside shear',
          'EN 1993-1-5 7.1',
          'instability',
          'a slender web under more than half its shear resistance: the interaction is not written yet',
          sheet,
        ),
      );
  } else
    checks.push(
      unproven('Shear', 'EN 1993-1-5 5', 'instability', 'the walls are slender: shear buckling of hollow shapes is not written yet', shear),
    );

  const worst = lateralTorsional(actions.segments, { section, grade, actions }, W, fy);
  if (worst) checks.push(lateralTorsionalCheck(worst, { section, grade, actions }, W, fy, sheet?.scope('Lateral-torsional buckling')));
  return checks;
}

/** Bending with the shear area weakened, where more than half of the shear resistance is used, EN 1993-1-1 6.2.8. */
function bendingBesideShear({ section, actions }: SteelBeamInput, McRd: number, VplRd: number, fy: number, sheet?: Sheet): Check {
  const both = sheet?.scope('Bending beside shear');
  both?.given('M_cRd', McRd, 'moment', 'bending resistance, from above');
  both?.given('V_plRd', VplRd, 'force', 'shear resistance, from above');
  both?.given('gamma_M0', 1, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
  both?.note('The largest moment and the largest shear are taken together although they may not occur together: conservative.');
  const MvRd = bendingResistanceWithShear(section, McRd, fy, actions.shear, VplRd, both);
  return compare(
    {
      name: 'Bending beside shear',
      clause: 'EN 1993-1-1 6.2.8',
      mode: 'ductile',
      kind: 'moment',
      demand: actions.moment,
      demandSymbol: 'M_Ed',
      capacity: MvRd,
      capacitySymbol: 'M_vRd',
      combination: actions.combination,
    },
    both,
  );
}

/** The segment with the largest ratio of moment to resistance; one that cannot be proved comes before any number. */
function lateralTorsional(segments: readonly Segment[], input: SteelBeamInput, W: number, fy: number): Segment | undefined {
  let worst: Segment | undefined;
  let ratio = -1;
  for (const segment of segments) {
    const check = lateralTorsionalCheck(segment, input, W, fy);
    const value = check.verdict === 'unproven' ? Infinity : (check.utilisation ?? Infinity);
    if (value > ratio) [worst, ratio] = [segment, value];
  }
  return worst;
}

function lateralTorsionalCheck(segment: Segment, { section, grade, actions }: SteelBeamInput, W: number, fy: number, sheet?: Sheet): Check {
  const name = 'Lateral-torsional buckling';
  const clause = 'EN 1993-1-1 6.3.2';
  const { combination } = actions;
  const L = segment.to - segment.from;
  const where = `from ${+(segment.from / 1000).toFixed(2)} m to ${+(segment.to / 1000).toFixed(2)} m`;
  const { outline } = section.shape;
  if (segment.peak === 0)
    return {
      name,
      clause,
      mode: 'instability',
      kind: 'moment',
      demand: 0,
      capacity: W * fy,
      utilisation: 0,
      verdict: 'carries',
      combination,
    };
  if (outline === 'box' || outline === 'tube') return hollowCheck(segment, { section, grade, actions }, W, fy, sheet);
  if (outline === 'channel')
    return unproven(
      name,
      clause,
      'instability',
      'a channel twists unless it is loaded through its shear centre; its own check is not written yet',
      sheet,
    );
  if (segment.freeTip)
    return unproven(
      name,
      clause,
      'instability',
      `the overhang ${where} has a tip that nothing holds sideways; cantilevers need their own solution, which is not written yet`,
      sheet,
    );
  sheet?.note(`Segment ${where}, held sideways and against twisting at both ends; load at the shear centre.`);
  sheet?.given('M_s', segment.peak, 'moment', 'largest moment in the segment');
  sheet?.given('W_y', W, 'sectionModulus', 'section modulus, from above');
  const C1 = momentGradientFactor(segment, sheet);
  const Mcr = criticalMoment(section, L, C1, grade.E, grade.G, sheet);
  const MbRd = lateralTorsionalResistance(section, W, fy, Mcr, C1, sheet);
  return compare(
    {
      name,
      clause,
      mode: 'instability',
      kind: 'moment',
      demand: segment.peak,
      demandSymbol: 'M_s',
      capacity: MbRd,
      capacitySymbol: 'M_bRd',
      combination,
      reason: where,
    },
    sheet,
  );
}

/** Hollow shapes: round and square ones do not buckle so; rectangular ones only beyond the plateau, which is not written. 6.3.2.1(2), 6.3.2.2(4). */
function hollowCheck(segment: Segment, { section, grade, actions }: SteelBeamInput, W: number, fy: number, sheet?: Sheet): Check {
  const name = 'Lateral-torsional buckling';
  const clause = 'EN 1993-1-1 6.3.2.1(2)';
  const { shape, properties } = section;
  const capacity = W * fy;
  const passes = (): Check => {
    sheet?.given('M_s', segment.peak, 'moment', 'largest moment in the segment');
    sheet?.given('W_y', W, 'sectionModulus', 'section modulus, from above');
    sheet?.step('M_bRd', 'W_y * f_y', { W_y: W, f_y: fy }, capacity, 'moment', clause);
    return compare(
      {
        name,
        clause,
        mode: 'instability',
        kind: 'moment',
        demand: segment.peak,
        demandSymbol: 'M_s',
        capacity,
        capacitySymbol: 'M_bRd',
        combination: actions.combination,
      },
      sheet,
    );
  };
  if (shape.outline === 'tube' || (shape.outline === 'box' && shape.h <= shape.b)) {
    sheet?.note('A hollow shape no deeper than wide is not susceptible to lateral-torsional buckling.');
    return passes();
  }
  const L = segment.to - segment.from;
  const { Iz, It } = properties;
  const Mcr = (Math.PI / L) * Math.sqrt(grade.E * Iz * grade.G * It);
  const lambda = Math.sqrt(capacity / Mcr);
  if (sheet) {
    sheet.given('I_z', Iz, 'secondMoment', 'minor axis', section.designation);
    sheet.given('I_T', It, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('E', grade.E, 'stress', "Young's modulus");
    sheet.given('G', grade.G, 'stress', 'shear modulus');
    sheet.given('L', L, 'length', 'length between lateral restraints');
    sheet.given('W_y', W, 'sectionModulus', 'section modulus, from above');
    sheet.step(
      'M_cr',
      'pi / L * sqrt(E * I_z * G * I_T)',
      { L, E: grade.E, I_z: Iz, G: grade.G, I_T: It },
      Mcr,
      'moment',
      'elastic theory, warping neglected',
    );
    sheet.step('lambda_LT', 'sqrt(W_y * f_y / M_cr)', { W_y: W, f_y: fy, M_cr: Mcr }, lambda, 'ratio', '6.3.2.2(1)');
    sheet.branch(
      'lambda_LT <= 0.4',
      { lambda_LT: lambda },
      lambda <= 0.4,
      '6.3.2.2(4)',
      lambda <= 0.4 ? 'lateral-torsional buckling need not be considered' : 'beyond the plateau',
    );
  }
  if (lambda > 0.4)
    return unproven(
      name,
      clause,
      'instability',
      `slenderness ${lambda.toFixed(2)} is beyond the plateau of 0.4, and no curve for rectangular hollow shapes is written yet`,
      sheet,
    );
  return passes();
}

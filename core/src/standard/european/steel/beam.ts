import type { SteelAnnex } from '../annex';
import { EN1993_1_1, EN1993_1_5 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import type { IShape } from '../../../section';
import { checkAll } from '../../limitState';
import { requireBasis, type Philosophy, type SteelBeamInput } from '../../standard';
import { BEAM_LIMIT_STATES } from './beamLimitStates';
import { bendingModulus, bendingResistance, bendingResistanceWithShear } from './bending';
import { bendingStress, classify, recordShape, sectionYield, type SectionClass } from './classification';
import { outstandReduction } from './effective';
import { bendsInClass4 } from './effectiveTee';
import { hasUnlikeSides, inBothSenses, unlikeSenses, type Sense } from './senses';
import { isWebStocky, shearArea, shearBucklingResistance, shearResistance } from './shear';

/**
 * Steel beam about its major axis: bending, shear, both together, and lateral-torsional buckling segment by segment.
 * EN 1993-1-1 6.2.5, 6.2.6, 6.2.8, 6.3.2. Actions must be factored.
 */
export function steelBeam(annex: SteelAnnex, input: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions } = input;
  requireBasis(actions.basis, philosophy.basis);
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  const senses = hasUnlikeSides(section)
    ? unlikeSenses(section, actions.range, actions.segments, (stress) => classify(section, fy, stress))
    : null;
  if (!senses) return underOneClass(annex, input, fy, sheet);
  const under = ({ peak, range, segments }: Sense, sheet?: Sheet) =>
    underOneClass(annex, { ...input, actions: { ...actions, range, segments, moment: peak } }, fy, sheet);
  return inBothSenses(senses, under, sheet);
}

function underOneClass(annex: SteelAnnex, input: SteelBeamInput, fy: number, sheet?: Sheet): Check[] {
  const { section, actions } = input;
  const sectionClass = classify(section, fy, bendingStress(section, actions), sheet?.scope('Class of the section'));
  return majorBending(annex, input, fy, sectionClass, sheet);
}

/** Bending about the major axis with its shear, and lateral-torsional buckling, for a section of a class. fy: MPa. */
export function majorBending(annex: SteelAnnex, input: SteelBeamInput, fy: number, sectionClass: SectionClass, sheet?: Sheet): Check[] {
  const { section, grade, actions } = input;
  const { combination } = actions;
  const checks: Check[] = [];
  if (sectionClass === 4 && !bendsInClass4(section, fy))
    return [
      unproven(
        { id: 'bending', name: 'Bending' },
        EN1993_1_1('6.2.5'),
        'instability',
        `${section.designation} is of class 4 in bending in ${grade.id}: its effective section is not written`,
        sheet,
      ),
    ];
  sheet?.given('M_Ed', actions.moment, 'moment', `largest design moment, ${combination}`);
  sheet?.given('V_Ed', actions.shear, 'force', `largest design shear, ${combination}`);

  const bending = sheet?.scope('Bending');
  const W = bendingModulus(section, sectionClass, fy, bending);
  const McRd = bendingResistance(annex, W, fy, bending);
  checks.push(
    compare(
      {
        id: 'bending',
        name: 'Bending',
        clause: EN1993_1_1('6.2.5'),
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
  shear?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  const VplRd = shearResistance(annex, shearArea(annex, section, fy, shear), fy, shear);
  shear?.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, Math.sqrt(235 / fy), 'ratio', 'table 5.2');
  const stocky = isWebStocky(annex, section, fy, shear);
  const { shape } = section;
  if (stocky) {
    checks.push(
      compare(
        {
          id: 'shear',
          name: 'Shear',
          clause: EN1993_1_1('6.2.6'),
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
    if (Math.abs(actions.shear) > 0.5 * VplRd) checks.push(bendingBesideShear(annex, input, McRd, VplRd, fy, sheet));
  } else if (shape.outline === 'I' || shape.outline === 'channel' || shape.outline === 'unequalI') {
    const hw = shape.outline === 'unequalI' ? shape.h - shape.tf - shape.tfBottom : shape.h - 2 * shape.tf;
    const VbRd = shearBucklingResistance(annex, hw, shape.tw, fy, shear);
    const reason = 'the web is slender: transverse stiffeners are needed at the supports (5.1(2))';
    checks.push(
      compare(
        {
          id: 'shear-buckling',
          name: 'Shear buckling',
          clause: EN1993_1_5('5.2'),
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
    if (Math.abs(actions.shear) > 0.5 * VbRd && actions.moment !== 0)
      checks.push(
        shape.outline === 'I'
          ? bendingBesideShearBuckling(annex, input, VbRd, fy, sectionClass, sheet?.scope('Bending beside shear buckling'))
          : unproven(
              { id: 'bending-beside-shear', name: 'Bending beside shear' },
              EN1993_1_5('7.1'),
              'instability',
              'a slender web under more than half its shear resistance: the interaction is written for I and H of equal flanges only',
              sheet,
            ),
      );
  } else
    checks.push(
      unproven(
        { id: 'shear', name: 'Shear' },
        EN1993_1_5('5'),
        'instability',
        'the walls are slender: shear buckling of hollow shapes is not written yet',
        shear,
      ),
    );

  return checkAll(checks, BEAM_LIMIT_STATES, { annex, input, fy, sectionClass, W }, sheet);
}

/** Bending with the shear area weakened, where more than half of the shear resistance is used, EN 1993-1-1 6.2.8. */
function bendingBesideShear(
  annex: SteelAnnex,
  { section, actions }: SteelBeamInput,
  McRd: number,
  VplRd: number,
  fy: number,
  sheet?: Sheet,
): Check {
  const both = sheet?.scope('Bending beside shear');
  both?.given('M_cRd', McRd, 'moment', 'bending resistance, from above');
  both?.given('V_plRd', VplRd, 'force', 'shear resistance, from above');
  both?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  both?.note('The largest moment and the largest shear are taken together although they may not occur together: conservative.');
  const MvRd = bendingResistanceWithShear(annex, section, McRd, fy, actions.shear, VplRd, both);
  return compare(
    {
      id: 'bending-beside-shear',
      name: 'Bending beside shear',
      clause: EN1993_1_1('6.2.8'),
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

/**
 * Bending beside a shear that uses more than half of what a slender web holds before it buckles, EN 1993-1-5 7.1: the flanges alone keep
 * M_f; what is above it shares the web. The largest moment and the largest shear are taken together.
 */
function bendingBesideShearBuckling(
  annex: SteelAnnex,
  { section, actions }: SteelBeamInput,
  VbwRd: number,
  fy: number,
  sectionClass: SectionClass,
  sheet?: Sheet,
): Check {
  const shape = section.shape as IShape;
  const { b, tf, h } = shape;
  // the effective width of a slender flange
  const epsilon = Math.sqrt(235 / fy);
  const outstand = (b - shape.tw - 2 * shape.r) / 2;
  const rho = outstandReduction(outstand / tf / (28.4 * epsilon * Math.sqrt(0.43)));
  const bf = b - 2 * (1 - rho) * outstand;
  const Mf = (bf * tf * (h - tf) * fy) / annex.gammaM0;
  const Mpl = (section.properties.Wply * fy) / annex.gammaM0;
  const eta1 = Math.abs(actions.moment) / Mpl;
  const eta3 = Math.abs(actions.shear) / VbwRd;
  const part = Mf / Mpl;
  const sum = Math.abs(actions.moment) <= Mf ? eta1 : eta1 + (1 - part) * (2 * eta3 - 1) ** 2;
  if (sheet) {
    sheet.note('The largest moment and the largest shear are taken together although they may not occur together: conservative.');
    sheet.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
    sheet.given('b_eff', bf, 'sectionLength', `effective width of the flanges, class ${sectionClass}`, 'EN 1993-1-5 4.4');
    sheet.given('W_pl', section.properties.Wply, 'sectionModulus', 'plastic modulus', section.designation);
    sheet.given('V_bwRd', VbwRd, 'force', 'shear buckling resistance of the web, from above');
    sheet.step(
      'M_fRd',
      'b_eff * t_f * (h - t_f) * f_y / gamma_M0',
      { b_eff: bf, t_f: tf, h, f_y: fy, gamma_M0: annex.gammaM0 },
      Mf,
      'moment',
      'EN 1993-1-5 7.1(1)',
      'of the flanges alone',
    );
    sheet.step(
      'M_plRd',
      'W_pl * f_y / gamma_M0',
      { W_pl: section.properties.Wply, f_y: fy, gamma_M0: annex.gammaM0 },
      Mpl,
      'moment',
      'EN 1993-1-5 7.1(1)',
    );
    sheet.step('eta_1', 'abs(M_Ed) / M_plRd', { M_Ed: actions.moment, M_plRd: Mpl }, eta1, 'ratio', 'EN 1993-1-5 7.1(1)');
    sheet.step('eta_3', 'abs(V_Ed) / V_bwRd', { V_Ed: actions.shear, V_bwRd: VbwRd }, eta3, 'ratio', 'EN 1993-1-5 7.1(1)');
    const low = Math.abs(actions.moment) <= Mf;
    sheet.branch(
      'abs(M_Ed) <= M_fRd',
      { M_Ed: actions.moment, M_fRd: Mf },
      low,
      'EN 1993-1-5 7.1(1)',
      low ? 'the flanges alone hold the moment: the web is free for the shear' : 'moment and shear share the web',
    );
    if (low) sheet.step('R', 'eta_1', { eta_1: eta1 }, sum, 'ratio', 'EN 1993-1-5 7.1(1)');
    else
      sheet.step(
        'R',
        'eta_1 + (1 - M_fRd / M_plRd) * (2 * eta_3 - 1)^2',
        { eta_1: eta1, M_fRd: Mf, M_plRd: Mpl, eta_3: eta3 },
        sum,
        'ratio',
        'EN 1993-1-5 (7.1)',
      );
    sheet.given('R_max', 1, 'ratio', 'at most');
  }
  return compare(
    {
      id: 'bending-beside-shear',
      name: 'Bending beside shear',
      clause: EN1993_1_5('7.1'),
      mode: 'instability',
      kind: 'ratio',
      demand: sum,
      demandSymbol: 'R',
      capacity: 1,
      capacitySymbol: 'R_max',
      combination: actions.combination,
    },
    sheet,
  );
}

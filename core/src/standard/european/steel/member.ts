import type { SteelAnnex } from '../annex';
import { EN1993_1_1, EN1993_1_5 } from '../documents';
import type { Section } from '../../../section';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { rangeOf, requireBasis, type Philosophy, type SteelMemberInput } from '../../standard';
import { majorBending } from './beam';
import { sectionInteraction } from './biaxial';
import { bendingStress, classify, classifyBesideCompression, recordShape, sectionYield, type SectionClass } from './classification';
import { compression } from './column';
import { bendingAndCompression, hasAnnexB } from './interaction';
import { amplifiedSum } from './amplified';
import { minorBendingResistance } from './minor';
import { mayBuckleAcross, minorBuckling } from './minorBuckling';
import { hasUnlikeSides, inBothSenses, unlikeSenses } from './senses';
import { isWebStocky, shearArea, shearAreaAcross, shearResistance } from './shear';
import { tensionChecks } from './tension';
import { shearTaken } from './weakened';
import { torsionChecks } from './torsion';

/**
 * Any steel member under one set of forces and moments: axial force of either sign, bending and shear in both planes, each alone and
 * together, in the section and between its restraints. EN 1993-1-1 5.5, 6.2, 6.3; EN 1993-1-5 for slender plates. Axial: compression
 * positive. Actions must be factored.
 */
export function steelMember(annex: SteelAnnex, input: SteelMemberInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions } = input;
  requireBasis(actions.basis, philosophy.basis);
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  // a sizing run comes through here millions of times
  if (!hasUnlikeSides(section)) return underOneClass(annex, input, fy, sheet);
  const pressed = Math.max(0, actions.axial);
  const senses = unlikeSenses(section, rangeOf(actions.major), actions.segments, (stress) =>
    classifyBesideCompression(section, fy, pressed, undefined, stress),
  );
  if (!senses) return underOneClass(annex, input, fy, sheet);
  return inBothSenses(
    senses,
    ({ peak, segments }, sheet) => {
      const major = { start: peak, middle: peak, end: peak, peak };
      return underOneClass(annex, { ...input, actions: { ...actions, major, segments } }, fy, sheet);
    },
    sheet,
  );
}

/** All checks of a member whose class is one for all its moments about the major axis. fy: MPa. */
function underOneClass(annex: SteelAnnex, input: SteelMemberInput, fy: number, sheet?: Sheet): Check[] {
  const { section, grade, actions, netArea, untwisted } = input;
  const { axial, major, minor, shear, shearAcross, combination } = actions;
  const checks: Check[] = [];
  const isPressed = axial > 0;
  const isBent = major.peak !== 0 || shear !== 0;

  const { lengthY, lengthZ, lengthT } = input;
  let Nb: number | null = null;
  if (isPressed) {
    const found = compression(annex, { section, grade, fy, axial, combination, lengthY, lengthZ, lengthT }, sheet?.scope('Compression'));
    checks.push(...found.checks);
    Nb = found.resistances?.least ?? null;
  } else if (axial < 0) checks.push(...tensionChecks(annex, section, grade, fy, -axial, netArea, combination, sheet?.scope('Tension')));

  const classSheet = sheet?.scope(isPressed ? 'Class beside the compression' : 'Class in bending');
  if (isPressed) classSheet?.given('N_Ed', axial, 'force', `design compression, ${combination}`);
  const sectionClass =
    isPressed && !isBent && minor.peak !== 0
      ? classify(section, fy, 'compression', classSheet)
      : isBent || minor.peak !== 0
        ? classifyBesideCompression(section, fy, Math.max(0, axial), classSheet, bendingStress(section, { range: rangeOf(major) }))
        : 1;
  if (isBent)
    checks.push(
      ...majorBending(
        annex,
        {
          section,
          grade,
          asked: { untwisted },
          actions: { basis: actions.basis, combination, moment: major.peak, shear, range: rangeOf(major), segments: actions.segments },
        },
        fy,
        sectionClass,
        sheet?.scope('Bending about the major axis'),
      ),
    );

  // in bending about the minor axis the web of an I or channel bears nearly no stress: the flange's own class
  const minorClass = minorAxisClass(input, fy);
  const beside = minorClassBeside(section, minorClass, sectionClass);
  // of a hollow section the walls that bending about the minor axis compresses belong to the section that carries everything together
  const isHollow = section.shape.outline === 'box' || section.shape.outline === 'tube';
  const togetherClass = isHollow && minor.peak !== 0 ? (Math.max(sectionClass, minorClass) as SectionClass) : sectionClass;
  const across = minor.peak !== 0 || shearAcross !== 0 ? sheet?.scope('Bending about the minor axis') : undefined;
  const Mcz = minor.peak === 0 ? null : minorBendingResistance(annex, section, minorClass, fy, across);
  if (minor.peak !== 0) {
    across?.given('M_z', minor.peak, 'moment', `largest moment, ${combination}`);
    checks.push(
      Mcz === null
        ? unproven(
            { id: 'bending-minor-axis', name: 'Bending, minor axis' },
            EN1993_1_1('6.2.5'),
            'instability',
            `${section.designation} is of class 4 in bending about the minor axis`,
            across,
          )
        : compare(
            {
              id: 'bending-minor-axis',
              name: 'Bending, minor axis',
              clause: EN1993_1_1('6.2.5'),
              mode: 'ductile',
              kind: 'moment',
              demand: minor.peak,
              demandSymbol: 'M_z',
              capacity: Mcz,
              capacitySymbol: 'M_czRd',
              combination,
            },
            across,
          ),
    );
  }
  let acrossRatio = 0;
  if (shearAcross !== 0) {
    across?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
    across?.given('V_y', shearAcross, 'force', `largest shear across, ${combination}`);
    const Vpl = shearResistance(annex, shearAreaAcross(section, across), fy, across);
    checks.push(
      compare(
        {
          id: 'shear-minor-axis',
          name: 'Shear, minor axis',
          clause: EN1993_1_1('6.2.6'),
          mode: 'ductile',
          kind: 'force',
          demand: shearAcross,
          demandSymbol: 'V_y',
          capacity: Vpl,
          capacitySymbol: 'V_plRd',
          combination,
        },
        across,
      ),
    );
    acrossRatio = Math.abs(shearAcross) / Vpl;
    if (acrossRatio > 0.5 && Mcz !== null) checks.push(minorBesideShear(minor.peak, shearAcross, Mcz, Vpl, combination, across));
  }
  let Mz = Mcz;
  if (Mcz !== null && mayBuckleAcross(section)) {
    const found = minorBuckling(annex, { section, grade, fy, minor, combination, Mcz, L: Math.max(lengthY, lengthZ, lengthT) }, across);
    checks.push(...found);
    for (const { capacity } of found) Mz = capacity === null || Mz === null ? null : Math.min(Mz, capacity);
  }

  checks.push(...torsionChecks(annex, section, fy, actions, actions.torsion ? sheet?.scope('Torsion') : undefined));

  const kinds = Number(axial !== 0) + Number(major.peak !== 0) + Number(minor.peak !== 0);
  if (kinds >= 2) {
    const Vpl = shearResistance(annex, shearArea(annex, section, fy), fy);
    const ratio = Math.abs(shear) / Vpl;
    const taken = { along: shearTaken(shear, Vpl), across: shearTaken(acrossRatio, 1) };
    if (ratio > 0.5 && !isWebStocky(annex, section, fy))
      checks.push(
        unproven(
          { id: 'section-in-bending-and-axial-force', name: 'Section in bending and axial force' },
          EN1993_1_5('7.1'),
          'instability',
          'a slender web under more than half its shear resistance beside axial force is not written',
          sheet,
        ),
      );
    else
      checks.push(
        sectionInteraction(
          annex,
          { section, actions, sectionClass: togetherClass, minorClass, fy, taken },
          sheet?.scope('Bending and axial force in the section'),
        ),
      );
  }
  if (isPressed && (major.peak !== 0 || minor.peak !== 0)) {
    const inner = sheet?.scope('Bending and compression of the member');
    // written out: a sizing run comes through here millions of times, and spreading is slow
    if (hasAnnexB(section)) {
      // table 6.7: both moduli by the class of the section beside its compression
      const least =
        Mcz === null ? null : minorBendingResistance(annex, section, Math.max(beside, isHollow ? togetherClass : 1) as SectionClass, fy);
      checks.push(
        ...bendingAndCompression(annex, { section, grade, actions, fy, lengthY, lengthZ, sectionClass: togetherClass, Mcz: least }, inner),
      );
    } else {
      const least = Mz === null ? null : minorBendingResistance(annex, section, beside, fy);
      const free = untwisted === true;
      const across = Mz === null || least === null ? null : Math.min(Mz, least);
      checks.push(
        ...amplifiedSum(
          annex,
          { section, grade, actions, fy, lengthY, lengthZ, lengthT, untwisted: free, sectionClass, Nb, Mz: across },
          inner,
        ),
      );
    }
  }
  return checks;
}

/** Bending about the minor axis beside a large shear across, EN 1993-1-1 6.2.8: the whole section with the reduced yield strength (6.29). */
function minorBesideShear(M: number, V: number, Mcz: number, Vpl: number, combination: string, sheet?: Sheet): Check {
  const inner = sheet?.scope('Bending beside shear, minor axis');
  const rho = ((2 * Math.abs(V)) / Vpl - 1) ** 2;
  const MvRd = Math.max(0, 1 - rho) * Mcz;
  inner?.given('M_z', M, 'moment', `largest moment, ${combination}`);
  inner?.given('M_czRd', Mcz, 'moment', 'bending resistance, minor axis, from above');
  inner?.given('V_y', V, 'force', `largest shear across, ${combination}`);
  inner?.given('V_plRd', Vpl, 'force', 'shear resistance across, from above');
  inner?.step('rho', '(2 * abs(V_y) / V_plRd - 1)^2', { V_y: V, V_plRd: Vpl }, rho, 'ratio', '6.2.8(3)');
  inner?.step(
    'M_vzRd',
    'max(0, 1 - rho) * M_czRd',
    { rho, M_czRd: Mcz },
    MvRd,
    'moment',
    '(6.29)',
    'the whole section reduced: on the safe side',
  );
  return compare(
    {
      id: 'bending-beside-shear-minor-axis',
      name: 'Bending beside shear, minor axis',
      clause: EN1993_1_1('6.2.8'),
      mode: 'ductile',
      kind: 'moment',
      demand: M,
      demandSymbol: 'M_z',
      capacity: MvRd,
      capacitySymbol: 'M_vzRd',
      combination,
    },
    inner,
  );
}

/** Class about the minor axis beside a compression: of an I whose web alone is slender the elastic section counts, for the web bears next to nothing of it. */
function minorClassBeside({ shape }: Section, minorClass: SectionClass, sectionClass: SectionClass): SectionClass {
  // and the flange of a tee is no more slender for a stem that is
  if (sectionClass === 4 && minorClass < 4 && (shape.outline === 'I' || shape.outline === 'tee')) return 3;
  return Math.max(minorClass, sectionClass) as SectionClass;
}

/** Class in bending about the minor axis: of the flanges of an I or tee, of an angle's legs, of the whole shape as if all of it were pressed otherwise. */
function minorAxisClass({ section }: SteelMemberInput, fy: number) {
  const { outline } = section.shape;
  if (outline === 'I' || outline === 'tee') return classify(section, fy, 'flange');
  if (outline === 'angle') return classify(section, fy, 'bending');
  return classify(section, fy, 'compression');
}

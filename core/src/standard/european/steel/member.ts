import type { Section } from '../../../section';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { rangeOf, requireBasis, type Philosophy, type SteelMemberInput } from '../../standard';
import { majorBending } from './beam';
import { sectionInteraction } from './biaxial';
import { bendingStress, classify, classifyBesideCompression, recordShape, sectionYield, type SectionClass } from './classification';
import { compression } from './column';
import { bendingAndCompression } from './interaction';
import { minorBendingResistance } from './minor';
import { isWebStocky, shearArea, shearAreaAcross, shearResistance } from './shear';
import { tensionChecks } from './tension';
import { torsionChecks } from './torsion';

/**
 * Any steel member under one set of forces and moments: axial force of either sign, bending and shear in both planes, each alone and
 * together, in the section and between its restraints. EN 1993-1-1 5.5, 6.2, 6.3; EN 1993-1-5 for slender plates. Axial: compression
 * positive. Actions must be factored.
 */
export function steelMember(input: SteelMemberInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions, netArea, untwisted } = input;
  requireBasis(actions.basis, philosophy.basis);
  const { axial, major, minor, shear, shearAcross, combination } = actions;
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  const checks: Check[] = [];
  const isPressed = axial > 0;
  const isBent = major.peak !== 0 || shear !== 0;

  if (isPressed)
    checks.push(
      ...compression(
        { section, grade, fy, axial, combination, lengthY: input.lengthY, lengthZ: input.lengthZ, lengthT: input.lengthT },
        sheet?.scope('Compression'),
      ).checks,
    );
  else if (axial < 0) checks.push(...tensionChecks(section, grade, fy, -axial, netArea, combination, sheet?.scope('Tension')));

  const classSheet = sheet?.scope(isPressed ? 'Class beside the compression' : 'Class in bending');
  if (isPressed) classSheet?.given('N_Ed', axial, 'force', `design compression, ${combination}`);
  const sectionClass =
    isBent || minor.peak !== 0
      ? classifyBesideCompression(section, fy, Math.max(0, axial), classSheet, bendingStress(section, { range: rangeOf(major) }))
      : 1;
  if (isBent)
    checks.push(
      ...majorBending(
        {
          section,
          grade,
          untwisted,
          actions: { basis: actions.basis, combination, moment: major.peak, shear, range: rangeOf(major), segments: actions.segments },
        },
        fy,
        sectionClass,
        sheet?.scope('Bending about the major axis'),
      ),
    );

  // in bending about the minor axis the web of an I or channel bears nearly no stress: the flange's own class
  const minorClass = minorAxisClass(input, fy);
  const across = minor.peak !== 0 || shearAcross !== 0 ? sheet?.scope('Bending about the minor axis') : undefined;
  const Mcz = minor.peak === 0 ? null : minorBendingResistance(section, minorClass, fy, across);
  if (minor.peak !== 0) {
    across?.given('M_z', minor.peak, 'moment', `largest moment, ${combination}`);
    checks.push(
      Mcz === null
        ? unproven(
            'Bending, minor axis',
            'EN 1993-1-1 6.2.5',
            'instability',
            `${section.designation} is of class 4 in bending about the minor axis`,
            across,
          )
        : compare(
            {
              name: 'Bending, minor axis',
              clause: 'EN 1993-1-1 6.2.5',
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
  if (shearAcross !== 0) {
    across?.given('gamma_M0', 1, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
    across?.given('V_y', shearAcross, 'force', `largest shear across, ${combination}`);
    const Vpl = shearResistance(shearAreaAcross(section, across), fy, across);
    checks.push(
      compare(
        {
          name: 'Shear, minor axis',
          clause: 'EN 1993-1-1 6.2.6',
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
    if (Math.abs(shearAcross) > 0.5 * Vpl && minor.peak !== 0)
      checks.push(
        unproven(
          'Bending beside shear, minor axis',
          'EN 1993-1-1 6.2.8',
          'ductile',
          'more than half of the shear resistance across is used: the interaction about the minor axis is not written',
          across,
        ),
      );
  }

  checks.push(...torsionChecks(section, fy, actions, actions.torsion ? sheet?.scope('Torsion') : undefined));

  const kinds = Number(axial !== 0) + Number(major.peak !== 0) + Number(minor.peak !== 0);
  if (kinds >= 2) {
    const Vpl = shearResistance(shearArea(section), fy);
    const ratio = Math.abs(shear) / Vpl;
    const rho = ratio > 0.5 ? (2 * ratio - 1) ** 2 : 0;
    if (ratio > 0.5 && !isWebStocky(section, fy))
      checks.push(
        unproven(
          'Section in bending and axial force',
          'EN 1993-1-5 7.1',
          'instability',
          'a slender web under more than half its shear resistance beside axial force is not written',
          sheet,
        ),
      );
    else
      checks.push(
        sectionInteraction(
          { section, actions, sectionClass, minorClass, fy, reducedYield: Math.max(0, 1 - rho) * fy },
          sheet?.scope('Bending and axial force in the section'),
        ),
      );
  }
  if (isPressed && (major.peak !== 0 || minor.peak !== 0))
    checks.push(
      ...bendingAndCompression(
        {
          section,
          grade,
          actions,
          fy,
          lengthY: input.lengthY,
          lengthZ: input.lengthZ,
          sectionClass,
          // table 6.7: both moduli by the class of the section beside its compression
          Mcz: Mcz === null ? null : minorBendingResistance(section, minorClassBeside(section, minorClass, sectionClass), fy),
        },
        sheet?.scope('Bending and compression of the member'),
      ),
    );
  return checks;
}

/** Class about the minor axis beside a compression: of an I whose web alone is slender the elastic section counts, for the web bears next to nothing of it. */
function minorClassBeside({ shape }: Section, minorClass: SectionClass, sectionClass: SectionClass): SectionClass {
  if (sectionClass === 4 && minorClass < 4 && shape.outline === 'I') return 3;
  return Math.max(minorClass, sectionClass) as SectionClass;
}

/** Class in bending about the minor axis: of the flanges of an I or tee, of an angle's legs, of the whole shape as if all of it were pressed otherwise. */
function minorAxisClass({ section }: SteelMemberInput, fy: number) {
  const { outline } = section.shape;
  if (outline === 'I' || outline === 'tee') return classify(section, fy, 'flange');
  if (outline === 'angle') return classify(section, fy, 'bending');
  return classify(section, fy, 'compression');
}

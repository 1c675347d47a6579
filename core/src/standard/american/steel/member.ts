import { AISC360 } from '../documents';
import { yieldStrength } from '../../../material';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { rangeOf, requireBasis, type Philosophy, type SteelMemberInput } from '../../standard';
import { availableStrength, FLEXURE } from './available';
import { majorBending, majorShear } from './beam';
import { compression } from './compression';
import { minorMoment } from './flexureMinor';
import { combined, momentAmplifier } from './interaction';
import { shearStrengthAcross } from './shear';
import { recordShape } from './slenderness';
import { tension } from './tension';
import { torsionChecks } from './torsion';

/**
 * Any steel member under one set of required strengths: axial of either sign, bending and shear in both planes, each alone and together,
 * AISC 360-16 D, E, F, G, H1, with the moments amplified between supports by B1 (Appendix 8); sway effects (B2) must be within what is
 * typed. Axial: compression positive. Actions must be of the philosophy's basis.
 */
export function steelMember(input: SteelMemberInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions, netArea, untwisted } = input;
  requireBasis(actions.basis, philosophy.basis);
  const { axial, major, minor, shear, shearAcross, combination } = actions;
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  recordShape(section, sheet);
  sheet?.given('E', E, 'stress', 'modulus of elasticity', 'AISC 360-16');
  sheet?.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
  const checks: Check[] = [];
  const isPressed = axial > 0;

  let Pc: number | null = null;
  if (isPressed) {
    const found = compression({ ...input, Fy, axial, combination }, philosophy, sheet?.scope('Compression'));
    checks.push(...found.checks);
    Pc = found.available;
  } else if (axial < 0) {
    const found = tension(section, grade, Fy, -axial, netArea, combination, philosophy, sheet?.scope('Tension'));
    checks.push(...found.checks);
    Pc = found.available;
  }

  // P-delta between supports
  const factors = { x: 1 as number | null, y: 1 as number | null };
  if (isPressed) {
    // an angle bends about its weakest axis, whatever it is held by
    const isAngle = section.shape.outline === 'angle';
    const { Iv } = section.properties;
    const [Iy, Iz] = isAngle ? [Iv, Iv] : [section.properties.Iy, section.properties.Iz];
    const longest = Math.max(input.lengthY, input.lengthZ);
    const [lengthY, lengthZ] = isAngle ? [longest, longest] : [input.lengthY, input.lengthZ];
    const scope = (title: string, moment: { peak: number }) => {
      if (moment.peak === 0) return undefined;
      const inner = sheet?.scope(title);
      inner?.given('P_r', axial, 'force', `required compressive strength, ${combination}`);
      return inner;
    };
    if (major.peak !== 0)
      factors.x = momentAmplifier(major, axial, E, Iy, lengthY, philosophy, scope('Amplifier of the moment, major axis', major));
    if (minor.peak !== 0)
      factors.y = momentAmplifier(minor, axial, E, Iz, lengthZ, philosophy, scope('Amplifier of the moment, minor axis', minor));
    if (factors.x === null || factors.y === null)
      return [
        ...checks,
        unproven(
          { id: 'bending-and-axial-force', name: 'Bending and axial force' },
          AISC360('A-8.2.1'),
          'instability',
          'the member buckles in the plane of bending under its axial force alone',
          sheet,
        ),
      ];
  }
  const [B1x, B1y] = [factors.x!, factors.y!];
  const Mry = B1y * minor.peak;
  // of the limit states of bending the one that is used most, with its own moment
  let Mrx = B1x * major.peak;

  let sheared = 0;
  let Mcx: number | null = Infinity;
  if (major.peak !== 0 || shear !== 0) {
    const scope = sheet?.scope('Bending about the major axis');
    if (B1x > 1) scope?.note(`Moments are amplified by B_1 = ${B1x.toFixed(3)}.`);
    const amplified = {
      section,
      grade,
      asked: { untwisted },
      actions: {
        basis: actions.basis,
        combination,
        moment: B1x * major.peak,
        shear,
        range: rangeOf(major).map((m) => m * B1x) as unknown as readonly [number, number],
        segments:
          B1x === 1
            ? actions.segments
            : actions.segments.map((segment) => ({
                ...segment,
                peak: segment.peak * B1x,
                quarters: segment.quarters.map((m) => m * B1x) as [number, number, number],
                ends: segment.ends?.map((m) => m * B1x) as [number, number] | undefined,
              })),
      },
    };
    const found = majorBending(amplified, philosophy, scope);
    if (major.peak !== 0) checks.push(...found.checks);
    Mcx = found.available;
    if (Mcx !== null && major.peak !== 0) {
      const used = found.checks.reduce((a, b) => ((b.utilisation ?? 0) > (a.utilisation ?? 0) ? b : a));
      [Mrx, Mcx] = [used.demand!, used.capacity];
    }
    if (shear !== 0) {
      const found = majorShear(amplified, philosophy, scope?.scope('Shear'));
      checks.push(found);
      sheared = Math.max(sheared, found.utilisation ?? Infinity);
    }
  }

  let Mcy: number | null = Infinity;
  if (minor.peak !== 0) {
    const scope = sheet?.scope('Bending about the minor axis');
    // a tee leans over about its other axis, an angle twists
    const Lb = section.shape.outline === 'tee' ? Math.max(input.lengthY, input.lengthT) : input.lengthT;
    const found = minorMoment(section, E, grade.G, Fy, Lb, scope);
    if ('reason' in found) {
      Mcy = null;
      checks.push(
        unproven(
          { id: 'bending-minor-axis', name: 'Bending, minor axis' },
          AISC360('F'),
          'instability',
          `${section.designation}: ${found.reason}`,
          scope,
        ),
      );
    } else {
      Mcy = availableStrength(found.Mn, FLEXURE, philosophy, { nominal: 'M_n', available: 'M_cy' }, 'moment', scope);
      scope?.given('M_ry', Mry, 'moment', `required moment, ${combination}${B1y > 1 ? ', amplified' : ''}`);
      checks.push(
        compare(
          {
            id: 'bending-minor-axis',
            name: 'Bending, minor axis',
            clause: found.clause,
            mode: 'ductile',
            kind: 'moment',
            demand: Mry,
            demandSymbol: 'M_ry',
            capacity: Mcy,
            capacitySymbol: 'M_cy',
            combination,
          },
          scope,
        ),
      );
    }
  }
  if (shearAcross !== 0) {
    const scope = sheet?.scope('Shear across');
    const { nominal, safety, clause } = shearStrengthAcross(section, E, Fy, scope);
    scope?.given('V_ry', shearAcross, 'force', `required shear across, ${combination}`);
    const capacity = availableStrength(nominal, safety, philosophy, { nominal: 'V_n', available: 'V_c' }, 'force', scope);
    sheared = Math.max(sheared, Math.abs(shearAcross) / capacity);
    checks.push(
      compare(
        {
          id: 'shear-minor-axis',
          name: 'Shear, minor axis',
          clause,
          mode: 'ductile',
          kind: 'force',
          demand: shearAcross,
          demandSymbol: 'V_ry',
          capacity,
          capacitySymbol: 'V_c',
          combination,
        },
        scope,
      ),
    );
  }

  if (actions.torsion) {
    const share = (required: number, available: number | null) =>
      required === 0 ? 0 : available === null ? null : Math.abs(required) / available;
    const [x, y] = [share(Mrx, Mcx), share(Mry, Mcy)];
    const beside = {
      torque: Math.abs(actions.torsion),
      length: input.lengthT,
      axial: share(axial, Pc),
      bending: x === null || y === null ? null : x + y,
      shear: sheared,
      combination,
    };
    checks.push(...torsionChecks(section, E, Fy, beside, philosophy, sheet?.scope('Torsion')));
  }

  const kinds = Number(axial !== 0) + Number(major.peak !== 0) + Number(minor.peak !== 0);
  if (kinds >= 2) {
    const scope = sheet?.scope('Bending and axial force');
    if ((axial !== 0 && Pc === null) || (major.peak !== 0 && Mcx === null) || (minor.peak !== 0 && Mcy === null))
      checks.push(
        unproven(
          { id: 'bending-and-axial-force', name: 'Bending and axial force' },
          AISC360('H1'),
          'instability',
          'one of the parts is not proved alone',
          scope,
        ),
      );
    else
      checks.push(
        combined(
          {
            section,
            combination,
            Pr: Math.abs(axial),
            Pc: Pc ?? Infinity,
            isPressed: axial >= 0,
            Mrx: Math.abs(Mrx),
            Mcx: Mcx ?? Infinity,
            Mry: Math.abs(Mry),
            Mcy: Mcy ?? Infinity,
          },
          scope,
        ),
      );
  }
  return checks;
}

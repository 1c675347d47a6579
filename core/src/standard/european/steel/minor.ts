import type { SteelAnnex } from '../annex';
import { anglePrincipal, sectionProperties, type BoxShape, type Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import type { SectionClass } from './classification';
import { effectiveModulus } from './effective';
import { bentAngle } from './effectiveAngle';
import { effectiveMinorModulus } from './effectiveMinor';

/**
 * Bending resistance about the minor axis, Nmm, EN 1993-1-1 6.2.5: plastic in classes 1 and 2, elastic in class 3 and for angles.
 * The class is that of the outstand in compression, which is never better than that under a stress gradient. In class 4 that of the effective section of
 * a box, I, tee or angle; null for other shapes. fy: MPa.
 */
export function minorBendingResistance(
  annex: SteelAnnex,
  section: Section,
  sectionClass: SectionClass,
  fy: number,
  sheet?: Sheet,
): number | null {
  const { outline } = section.shape;
  if (sectionClass === 4 && (outline === 'I' || outline === 'tee'))
    return recorded(annex, effectiveMinorModulus(section, fy, sheet), fy, sheet);
  if (sectionClass === 4 && outline !== 'box' && outline !== 'angle') return null;
  if (sectionClass === 4 && outline === 'box') {
    const lying = turnedBox(section);
    const inner = sheet?.scope('Effective modulus, minor axis');
    const { h, b } = lying.shape as BoxShape;
    inner?.given('h', h, 'sectionLength', 'depth as it lies on its side');
    inner?.given('b', b, 'sectionLength', 'width as it lies on its side');
    const W = effectiveModulus(lying, fy, inner);
    sheet?.given('W_z', W, 'sectionModulus', 'effective modulus, minor axis, from above', 'EN 1993-1-5 4.3');
    return recorded(annex, W, fy, sheet);
  }
  const { Wplz, Welz } = section.properties;
  if (outline === 'angle') {
    // nothing holds it in that plane: it bends about both principal axes
    const { Wu, Wv, alongU, alongV } = anglePrincipal(bentAngle(section, fy, sheet));
    const W = 1 / (alongV / Wu + alongU / Wv);
    if (sheet) {
      sheet.given('W_u', Wu, 'sectionModulus', 'elastic modulus, major principal axis');
      sheet.given('W_v', Wv, 'sectionModulus', 'elastic modulus, minor principal axis');
      sheet.given('c_u', alongV, 'ratio', 'part of the moment about the major principal axis', 'statics');
      sheet.given('c_v', alongU, 'ratio', 'part about the minor', 'statics');
      sheet.step('W_z', '1 / (c_u / W_u + c_v / W_v)', { c_u: alongV, W_u: Wu, c_v: alongU, W_v: Wv }, W, 'sectionModulus', '6.2.1(7)');
    }
    return recorded(annex, W, fy, sheet);
  }
  const isPlastic = sectionClass <= 2;
  const W = isPlastic ? Wplz : Welz;
  sheet?.given('W_z', W, 'sectionModulus', isPlastic ? 'plastic modulus, minor axis' : 'elastic modulus, minor axis', section.designation);
  return recorded(annex, W, fy, sheet);
}

/** A box that lies on its side: what bends it about its minor axis bends this one about its major axis. */
function turnedBox(section: Section): Section {
  let turned = boxes.get(section);
  if (!turned) {
    const shape = section.shape as BoxShape;
    const lying: BoxShape = { ...shape, h: shape.b, b: shape.h };
    boxes.set(section, (turned = { ...section, shape: lying, properties: sectionProperties(lying) }));
  }
  return turned;
}
const boxes = new WeakMap<Section, Section>();

function recorded(annex: SteelAnnex, W: number, fy: number, sheet?: Sheet): number {
  sheet?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  const McRd = (W * fy) / annex.gammaM0;
  sheet?.step(
    'M_czRd',
    'W_z * f_y / gamma_M0',
    { W_z: W, f_y: fy, gamma_M0: annex.gammaM0 },
    McRd,
    'moment',
    '6.2.5(2)',
    'bending resistance, minor axis',
  );
  return McRd;
}

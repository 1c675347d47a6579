import {
  formatNumber,
  formatQuantity,
  gradesFor,
  massRatio,
  PlinthError,
  sectionDrawing,
  STANDARDS,
  type Kind,
  type Section,
  type SectionProperties,
  type SteelGrade,
  type UnitSystem,
} from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';

interface Property {
  readonly key: keyof SectionProperties;
  readonly title: string;
  /** About the horizontal (0) or the vertical axis (1) of the drawing. */
  readonly axis?: 0 | 1;
  /** As EN 1993-1-1 and as AISC 360 write it. */
  readonly symbols: readonly [european: string, american: string];
  readonly kind: Kind;
}

const PROPERTIES: readonly Property[] = [
  { key: 'A', title: 'Area', symbols: ['A', 'A'], kind: 'area' },
  { key: 'Iy', title: 'Second moment', axis: 0, symbols: ['Iy', 'Ix'], kind: 'secondMoment' },
  { key: 'Iz', title: 'Second moment', axis: 1, symbols: ['Iz', 'Iy'], kind: 'secondMoment' },
  { key: 'Wely', title: 'Elastic modulus', axis: 0, symbols: ['Wel,y', 'Sx'], kind: 'sectionModulus' },
  { key: 'Welz', title: 'Elastic modulus', axis: 1, symbols: ['Wel,z', 'Sy'], kind: 'sectionModulus' },
  { key: 'Wply', title: 'Plastic modulus', axis: 0, symbols: ['Wpl,y', 'Zx'], kind: 'sectionModulus' },
  { key: 'Wplz', title: 'Plastic modulus', axis: 1, symbols: ['Wpl,z', 'Zy'], kind: 'sectionModulus' },
  { key: 'iy', title: 'Radius of gyration', axis: 0, symbols: ['iy', 'rx'], kind: 'sectionLength' },
  { key: 'iz', title: 'Radius of gyration', axis: 1, symbols: ['iz', 'ry'], kind: 'sectionLength' },
  { key: 'It', title: 'Torsion constant', symbols: ['It', 'J'], kind: 'torsionConstant' },
  { key: 'Iw', title: 'Warping constant', symbols: ['Iw', 'Cw'], kind: 'warpingConstant' },
];

/** The first family that builds with such materials: its limits stand beside the grade. */
const byMaterials = (materials: SteelGrade['family']) => Object.values(STANDARDS).find(({ profile }) => profile.materials === materials)!;

const ASYMMETRIC: readonly Property[] = [
  { key: 'cz', title: 'Centroid from the left face', symbols: ['', ''], kind: 'sectionLength' },
  { key: 'cy', title: 'Centroid below the top', symbols: ['', ''], kind: 'sectionLength' },
  { key: 'shearCentre', title: 'Shear centre S right of the centroid', symbols: ['', ''], kind: 'sectionLength' },
  { key: 'shearCentreUp', title: 'Shear centre S above the centroid', symbols: ['', ''], kind: 'sectionLength' },
  { key: 'Iu', title: 'Second moment, strong principal axis', symbols: ['Iu', 'Iw'], kind: 'secondMoment' },
  { key: 'Iv', title: 'Second moment, weak principal axis', symbols: ['Iv', 'Iz'], kind: 'secondMoment' },
  { key: 'iv', title: 'Radius of gyration, weak principal axis', symbols: ['iv', 'rz'], kind: 'sectionLength' },
  { key: 'principal', title: 'Strong axis turned anticlockwise from the horizontal', symbols: ['α', 'α'], kind: 'angle' },
];

const DIMENSION: Record<string, string> = {
  h: 'Depth',
  b: 'Width',
  tw: 'Web',
  tf: 'Flange',
  bBottom: 'Width of the bottom flange',
  tfBottom: 'Bottom flange',
  r: 'Root radius',
  t: 'Thickness',
  d: 'Outside diameter',
  ro: 'Outer corner radius',
  ri: 'Inner corner radius',
  toe: 'Toe radius',
};

/** One shape with all that is known of it: drawn with its axes, every property, how slender its parts are by grade. */
export function SectionPage({ section, units }: { section: Section; units: UnitSystem }) {
  const { properties, shape } = section;
  const isAsymmetric = shape.outline === 'angle' || shape.outline === 'tee' || shape.outline === 'channel' || shape.outline === 'unequalI';
  const isAmerican = section.region === 'american';
  const rows = isAsymmetric ? [...PROPERTIES, ...ASYMMETRIC] : PROPERTIES;
  // the legs of an angle and the axes of a tee lie as drawn: which is the stronger one is seen from the numbers
  const axes =
    shape.outline === 'angle' || shape.outline === 'tee'
      ? (['horizontal axis', 'vertical axis'] as const)
      : (['major axis', 'minor axis'] as const);
  const grades =
    section.region === 'own'
      ? [...gradesFor('european', section.product), ...gradesFor('american', section.product)]
      : gradesFor(section.region, section.product);
  const slenderness = grades.map((grade) => {
    try {
      return { grade, ...byMaterials(grade.family).steel.localSlenderness(section, grade) };
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return { grade, bending: error.message, compression: '' };
    }
  });
  return (
    <aside
      aria-label={`Section ${section.designation}`}
      className="panel w-[430px] shrink-0 overflow-y-auto border-l border-rule bg-panel px-4 py-3"
      tabIndex={0}
    >
      <h2>
        <span className="text-[20px] text-oxide">{section.designation}</span>{' '}
        <span className="font-normal whitespace-nowrap">{formatQuantity(section.mass, 'massPerLength', units)}</span>
      </h2>
      <p className="text-[12.5px] text-soft">
        {section.region === 'own'
          ? `${section.product}, its mass from its area`
          : `${section.product}; published mass over area and density ${formatNumber(massRatio(section), 4)}`}
        {'taper' in shape && shape.taper ? '; flanges taper, their mean thickness is given' : ''}
      </p>
      <DrawingView className="mx-auto mt-2 w-[300px]" drawing={sectionDrawing(section, units, 300, 250, { axes: true })} />
      <table className="grid-table mt-2" aria-label="Properties">
        <tbody>
          {Object.entries(shape)
            .filter(([name, value]) => name !== 'outline' && typeof value === 'number')
            .map(([name, value]) => (
              <tr key={name}>
                <td className="text-soft" colSpan={2}>
                  {DIMENSION[name] ?? name}
                </td>
                <td className="num">{formatQuantity(value as number, 'sectionLength', units)}</td>
              </tr>
            ))}
          {rows.map(({ key, title, axis, symbols, kind }) => (
            <tr key={key}>
              <td className="text-soft">{axis === undefined ? title : `${title}, ${axes[axis]}`}</td>
              <td className="text-soft">
                {symbols[isAmerican ? 1 : 0].slice(0, 1)}
                <sub>{symbols[isAmerican ? 1 : 0].slice(1)}</sub>
              </td>
              <td className="num font-semibold">
                {kind === 'angle' ? `${((properties[key] * 180) / Math.PI).toFixed(1)}°` : formatQuantity(properties[key], kind, units)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="grid-table mt-3" aria-label="Local slenderness by grade">
        <thead>
          <tr>
            <th>Grade</th>
            <th>Alone in bending</th>
            <th>Alone in compression</th>
          </tr>
        </thead>
        <tbody>
          {slenderness.map(({ grade, bending, compression }) => (
            <tr key={grade.id}>
              <td>{grade.id}</td>
              <td>{bending}</td>
              <td>{compression}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </aside>
  );
}

import { AISC360 } from '../documents';
import { yieldStrength } from '../../../material';
import type { Section } from '../../../section';
import { compare, unproven, type Check, type CheckName, type FailureMode, type Sheet, type Clause } from '../../../sheet';
import { heldFlangeFactor } from '../../heldFlange';
import { bySense, pressedFlanges, type Philosophy, type Segment, type SteelBeamInput } from '../../standard';
import { availableStrength, FLEXURE, type Flexure } from './available';
import {
  flangeLocalBucklingBox,
  flangeLocalBucklingI,
  lateralTorsionalBox,
  lateralTorsionalI,
  lateralTorsionalRational,
  localBucklingTube,
  momentGradientFactor,
  plasticMoment,
  webLocalBucklingBox,
} from './flexure';
import {
  flangeLocalBucklingSlenderWeb,
  lateralTorsionalNoncompactWeb,
  lateralTorsionalSlenderWeb,
  webPlastification,
  webReduction,
} from './flexureSlender';
import { unequalBending } from './flexureUnequal';
import { angleGeometricMoment, anglePrincipalMoments } from './flexureAngle';
import { angleMoment, teeFlangeBuckling, teeLateralTorsional, teeStemBuckling, teeYielding } from './flexureTee';
import { shearStrength } from './shear';
import { compactness, flangeInFlexure, webInFlexure, type Compactness } from './slenderness';

interface Context extends SteelBeamInput {
  readonly philosophy: Philosophy;
  readonly E: number;
  readonly Fy: number;
  /** Moment at which the section yields or its compression flange does, Nmm. */
  readonly Mp: number;
  readonly web: Compactness;
}

/** Shear along the depth, AISC 360-16 chapter G. The sheet must know the shape, E and F_y. */
export function majorShear({ section, grade, actions }: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Check {
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  sheet?.given('V_r', actions.shear, 'force', `required shear strength, ${actions.combination}`);
  const { nominal, safety, clause } = shearStrength(section, E, Fy, sheet);
  return compare(
    {
      id: 'shear',
      name: 'Shear',
      clause,
      mode: 'ductile',
      kind: 'force',
      demand: actions.shear,
      demandSymbol: 'V_r',
      capacity: availableStrength(nominal, safety, philosophy, { nominal: 'V_n', available: 'V_c' }, 'force', sheet),
      capacitySymbol: 'V_c',
      combination: actions.combination,
    },
    sheet,
  );
}

/** Bending about the major axis, chapter F. */
export function majorBending(input: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Flexure {
  const { section, grade, actions } = input;
  const { combination } = actions;
  const { outline } = section.shape;
  if (outline === 'unequalI') {
    sheet?.given('M_r', actions.moment, 'moment', `required flexural strength, ${combination}`);
    return unequalBending(input, philosophy, sheet);
  }
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  sheet?.given('M_r', actions.moment, 'moment', `required flexural strength, ${combination}`);
  const local = sheet?.scope('Local slenderness');
  const isRound = outline === 'tube';
  const flangeElement = flangeInFlexure(section);
  const flange = compactness(flangeElement, E, Fy, isRound, local);
  const webElement = webInFlexure(section);
  const web = webElement ? compactness(webElement, E, Fy, false, local) : 'compact';
  const outside = outsideF(input, flange, web, E, Fy);
  if (outside)
    return {
      available: null,
      checks: [
        unproven(
          { id: 'bending', name: 'Bending' },
          AISC360('F'),
          'instability',
          `${section.designation}: ${outside}, which is not written`,
          sheet,
        ),
      ],
    };
  const checks: Check[] = [];
  let available: number | null = Infinity;
  const add = (name: CheckName, clause: Clause, mode: FailureMode, Mn: number, symbol: string, inner?: Sheet, demand = actions.moment) => {
    const capacity = availableStrength(Mn, FLEXURE, philosophy, { nominal: symbol, available: 'M_c' }, 'moment', inner);
    available = Math.min(available ?? Infinity, capacity);
    checks.push(
      compare(
        {
          id: name.id,
          part: name.part,
          name: name.name,
          clause,
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

  const sagging = actions.moment >= 0;
  const yielding = sheet?.scope('Yielding');
  const Mp = sectionMoment(input, flange, web, sagging, E, Fy, yielding);
  const context: Context = { ...input, philosophy, E, Fy, Mp, web };
  if (outline === 'tube' && flange !== 'compact') {
    add(
      { id: 'bending-local-buckling', name: 'Bending, local buckling' },
      AISC360('F8.2'),
      'instability',
      localBucklingTube(section, flange, E, Fy, yielding),
      'M_n',
      yielding,
    );
  } else if (outline === 'angle') {
    if (isFreeUnequal(section) && actions.segments.length > 0) {
      yielding?.note('Unequal legs that nothing holds along the length: the moment bends it about both principal axes.');
      const Mn = angleGeometricMoment(section, 'horizontal', anglePrincipalMoments(section, 0, 1, E, Fy, yielding), yielding);
      add({ id: 'bending-yielding', name: 'Bending, yielding' }, AISC360('F10.1, H2'), 'ductile', Mn, 'M_n', yielding);
    } else {
      const Mn = angleMoment(section, sagging, 0, 1, E, Fy, yielding);
      add({ id: 'bending-yielding', name: 'Bending, yielding' }, AISC360('F10.1'), 'ductile', Mn, 'M_n', yielding);
    }
  } else add({ id: 'bending-yielding', name: 'Bending, yielding' }, yieldingClause(outline, web), 'ductile', Mp, 'M_p', yielding);

  if (outline === 'I' && flange !== 'compact') {
    const inner = sheet?.scope('Flange local buckling');
    inner?.given('M_p', Mp, 'moment', 'from above');
    const Mn =
      web === 'compact'
        ? flangeLocalBucklingI(section, flange, flangeElement.noncompact, Mp, E, Fy, inner)
        : flangeLocalBucklingSlenderWeb(section, web, flange, flangeElement, E, Fy, inner);
    const clause = web === 'compact' ? AISC360('F3.2') : web === 'noncompact' ? AISC360('F4.3') : AISC360('F5.3');
    add({ id: 'flange-local-buckling', name: 'Flange local buckling' }, clause, 'instability', Mn, 'M_n', inner);
  }
  if (outline === 'box') {
    if (flange !== 'compact') {
      const inner = sheet?.scope('Flange local buckling');
      inner?.given('M_p', Mp, 'moment', 'plastic moment, from above');
      add(
        { id: 'flange-local-buckling', name: 'Flange local buckling' },
        AISC360('F7.2'),
        'instability',
        flangeLocalBucklingBox(section, flange, Mp, E, Fy, inner),
        'M_n',
        inner,
      );
    }
    if (web !== 'compact') {
      const inner = sheet?.scope('Web local buckling');
      inner?.given('M_p', Mp, 'moment', 'plastic moment, from above');
      add(
        { id: 'web-local-buckling', name: 'Web local buckling' },
        AISC360('F7.3'),
        'instability',
        webLocalBucklingBox(section, Mp, E, Fy, inner),
        'M_n',
        inner,
      );
    }
  }
  if (outline === 'tee') {
    const inner = sheet?.scope(sagging ? 'Flange local buckling' : 'Stem local buckling');
    inner?.given('M_p', Mp, 'moment', 'from above');
    if (!sagging)
      add(
        { id: 'stem-local-buckling', name: 'Stem local buckling' },
        AISC360('F9.4'),
        'instability',
        teeStemBuckling(section, E, Fy, inner),
        'M_n',
        inner,
      );
    else if (flange !== 'compact')
      add(
        { id: 'flange-local-buckling', name: 'Flange local buckling' },
        AISC360('F9.3'),
        'instability',
        teeFlangeBuckling(section, flange, Mp, E, Fy, inner),
        'M_n',
        inner,
      );
    // the smaller moment of the other sign may press the weaker side
    if (actions.range && pressedFlanges(actions).length === 2) {
      const other = actions.range[sagging ? 0 : 1];
      const where = sagging ? 'where the stem is pressed' : 'where the flange is pressed';
      const turned = (title: string) => {
        const scope = sheet?.scope(title);
        scope?.given('M_r', other, 'moment', `required flexural strength of the other sign, ${combination}`);
        return scope;
      };
      const yields = turned(`Bending, yielding, ${where}`);
      const My = teeYielding(section, !sagging, Fy, yields);
      add(
        { id: 'bending-yielding', part: 'other-sign', name: `Bending, yielding, ${where}` },
        AISC360('F9.1'),
        'ductile',
        My,
        'M_p',
        yields,
        other,
      );
      const buckles = turned(sagging ? 'Stem local buckling' : 'Flange local buckling');
      buckles?.given('M_p', My, 'moment', 'from above');
      if (sagging)
        add(
          { id: 'stem-local-buckling', name: 'Stem local buckling' },
          AISC360('F9.4'),
          'instability',
          teeStemBuckling(section, E, Fy, buckles),
          'M_n',
          buckles,
          other,
        );
      else if (flange !== 'compact') {
        const Mn = teeFlangeBuckling(section, flange, My, E, Fy, buckles);
        add({ id: 'flange-local-buckling', name: 'Flange local buckling' }, AISC360('F9.3'), 'instability', Mn, 'M_n', buckles, other);
      }
    }
  }

  if (outline === 'angle' && actions.segments.length === 0 && actions.range && pressedFlanges(actions).length === 2) {
    // the smaller moment of the other sign compresses the other leg
    const other = actions.range[sagging ? 0 : 1];
    const inner = sheet?.scope('Bending of the other sign');
    inner?.given('M_r', other, 'moment', `required flexural strength of the other sign, ${combination}`);
    const Mn = angleMoment(section, !sagging, 0, 1, E, Fy, inner);
    add(
      { id: 'bending-yielding', part: 'other-sign', name: 'Bending, yielding, of the other sign' },
      AISC360('F10.1, F10.3'),
      'ductile',
      Mn,
      'M_n',
      inner,
      other,
    );
  }

  let worst: { segment: Segment; ratio: number } | undefined;
  // F9.2(b), F10.3: stem or leg in compression anywhere within the unbraced length, each side with its own moment
  const segments = outline === 'tee' || outline === 'angle' ? actions.segments.flatMap(bySense) : actions.segments;
  for (const segment of segments) {
    const check = lateralTorsionalCheck(segment, context);
    const ratio = check.verdict === 'unproven' ? Infinity : (check.utilisation ?? Infinity);
    if (!worst || ratio > worst.ratio) worst = { segment, ratio };
  }
  if (worst) {
    const check = lateralTorsionalCheck(worst.segment, context, sheet?.scope('Lateral-torsional buckling'));
    checks.push(check);
    available = check.verdict === 'unproven' || check.capacity === null || available === null ? null : Math.min(available, check.capacity);
  }
  return { checks, available };
}

/** What of chapter F is not written for a shape, in words. */
function outsideF({ section }: SteelBeamInput, flange: Compactness, web: Compactness, E: number, Fy: number): string | null {
  const { shape } = section;
  if (shape.outline === 'tube' && shape.d / shape.t >= (0.45 * E) / Fy) return 'the wall is beyond D/t of 0.45 E/Fy (F8)';
  if (shape.outline === 'I' && web === 'slender') {
    const hc = shape.h - 2 * (shape.tf + shape.r);
    if (hc / shape.tw > 260) return 'the web is beyond h/tw of 260 without stiffeners (F13.2)';
    if ((hc * shape.tw) / (shape.b * shape.tf) > 10) return 'the web is more than ten times its flange (F13.2)';
  }
  if (shape.outline === 'box' && web === 'slender') return 'the webs are slender (F7.3(c))';
  if (shape.outline === 'box' && flange === 'slender' && web !== 'compact') return 'flanges and webs are both beyond compact (F7)';
  if (shape.outline === 'channel' && (flange !== 'compact' || web !== 'compact')) return 'the channel is not compact (F13)';
  return null;
}

const yieldingClause = (outline: string, web: Compactness): Clause => {
  if (outline === 'tee') return AISC360('F9.1');
  if (outline === 'tube') return AISC360('F8.1');
  if (outline === 'box') return AISC360('F7.1');
  if (web === 'noncompact') return AISC360('F4.1');
  return web === 'slender' ? AISC360('F5.1') : AISC360('F2.1');
};

/** The moment at which the section yields, or its compression flange where the web is not compact, Nmm, recorded as M_p. */
function sectionMoment(
  { section }: SteelBeamInput,
  flange: Compactness,
  web: Compactness,
  sagging: boolean,
  E: number,
  Fy: number,
  sheet?: Sheet,
): number {
  const { outline } = section.shape;
  if (outline === 'tee') return teeYielding(section, sagging, Fy, sheet);
  if (outline === 'angle') return 0;
  if (outline === 'tube' && flange !== 'compact') return Fy * section.properties.Wply;
  if (outline !== 'I' || web === 'compact') return plasticMoment(section, Fy, sheet);
  const { Wely: Sx } = section.properties;
  const factor = web === 'noncompact' ? webPlastification(section, E, Fy, sheet) : webReduction(section, E, Fy, sheet);
  const symbol = web === 'noncompact' ? 'R_pc' : 'R_pg';
  sheet?.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
  sheet?.step(
    'M_p',
    `${symbol} * F_y * S_x`,
    { [symbol]: factor, F_y: Fy, S_x: Sx },
    factor * Fy * Sx,
    'moment',
    web === 'noncompact' ? '(F4-1)' : '(F5-1)',
    'compression flange yields',
  );
  return factor * Fy * Sx;
}

function lateralTorsionalCheck(segment: Segment, context: Context, sheet?: Sheet): Check {
  const { section, grade, actions, philosophy, E, Fy, web, asked } = context;
  const name = { id: 'lateral-torsional-buckling', name: 'Lateral-torsional buckling' } as const;
  const { shape } = section;
  const { combination } = actions;
  // of a tee by the side that is in compression in this segment
  const Mp = shape.outline === 'tee' ? teeYielding(section, segment.peak >= 0, Fy) : context.Mp;
  const L = segment.to - segment.from;
  const where = `${segment.flange ? `${segment.flange} flange ` : ''}from ${+(segment.from / 304.8).toFixed(2)} ft to ${+(segment.to / 304.8).toFixed(2)} ft`;
  const notSusceptible = shape.outline === 'tube' || (shape.outline === 'box' && shape.h <= shape.b);
  const clause = lateralClause(shape.outline, web);
  const open = (reason: string) => unproven(name, clause, 'instability', reason, sheet);
  if (shape.outline === 'channel' && !asked?.untwisted)
    return open('a channel twists unless it is loaded through its shear centre or held against twisting; torsion is not written');
  const isRational = !notSusceptible && (segment.freeTip || (segment.loadOnTop ?? false));
  // F1(b): Cb = 1 for overhangs, but it takes warping to be held at the root, which a beam running over its support does not give
  if (isRational && (shape.outline !== 'I' || web !== 'compact' || !segment.critical))
    return open(
      `${segment.freeTip ? `the overhang ${where} has a tip that nothing braces` : `load on the top flange ${where} lowers the strength`}: its own solution is written for an I with a compact web`,
    );
  if (!isRational)
    sheet?.note(
      `Segment ${where}, ${segment.flange ? 'whose compression flange is braced' : 'braced against lateral displacement and twist'} at its ends; load at the shear centre.`,
    );
  sheet?.given('M_s', segment.peak, 'moment', 'largest moment in the segment');
  sheet?.given('M_p', Mp, 'moment', 'from above');
  let Mn: number;
  if (notSusceptible) {
    sheet?.note('A hollow shape no deeper than wide does not buckle laterally.');
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', clause);
    Mn = Mp;
  } else if (isRational) Mn = lateralTorsionalRational(section, segment, where, Mp, grade, Fy, sheet);
  else if (shape.outline === 'tee') Mn = teeLateralTorsional(section, segment.peak >= 0, L, Mp, E, Fy, sheet);
  else {
    const plain = momentGradientFactor(segment, sheet);
    const held = shape.outline === 'I' ? heldFlangeFactor(segment) : null;
    if (held !== null && held > plain) {
      heldFlangeFactor(segment, sheet);
      sheet?.step('C_b', 'C_h', { C_h: held }, held, 'ratio', 'commentary to F1', 'one flange braced along its length');
    }
    const Cb = Math.max(plain, held ?? 0);
    if (shape.outline === 'angle') {
      // F10.2: Cb of angles is at most 1.5
      const limited = Math.min(1.5, Cb);
      sheet?.step('C_b', 'min(1.5, C_b)', { C_b: Cb }, limited, 'ratio', 'F10.2');
      Mn = isFreeUnequal(section)
        ? angleGeometricMoment(section, 'horizontal', anglePrincipalMoments(section, L, limited, E, Fy, sheet), sheet)
        : angleMoment(section, segment.peak >= 0, L, limited, E, Fy, sheet);
    } else if (shape.outline === 'box') Mn = lateralTorsionalBox(section, L, Cb, Mp, E, Fy, sheet);
    else if (web === 'noncompact') Mn = lateralTorsionalNoncompactWeb(section, L, Cb, E, Fy, sheet);
    else if (web === 'slender') Mn = lateralTorsionalSlenderWeb(section, L, Cb, E, Fy, sheet);
    else Mn = lateralTorsionalI(section, L, Cb, Mp, E, Fy, sheet);
  }
  const capacity = availableStrength(Mn, FLEXURE, philosophy, { nominal: 'M_n', available: 'M_c' }, 'moment', sheet);
  return compare(
    {
      id: name.id,
      name: name.name,
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

/** An angle that may not be taken about its geometric axis where nothing holds it along its length, F10. */
const isFreeUnequal = ({ shape }: Section) => shape.outline === 'angle' && shape.h !== shape.b;

const lateralClause = (outline: string, web: Compactness): Clause => {
  switch (outline) {
    case 'tube':
      return AISC360('F8');
    case 'box':
      return AISC360('F7.4');
    case 'tee':
      return AISC360('F9.2');
    case 'angle':
      return AISC360('F10.2');
    default:
      return web === 'compact' ? AISC360('F2.2') : web === 'noncompact' ? AISC360('F4.2') : AISC360('F5.2');
  }
};

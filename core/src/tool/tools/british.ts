import { z } from 'zod';
import { steelGrade } from '../../material';
import { quantity } from '../../quantity';
import { findSection } from '../../section';
import { britishBeam, britishStrut, STANDARDS } from '../../standard';
import { defineTool } from '../tool';
import { designation, text } from '../../schema';
import { effectsMethod, requireLargest } from './effects';

const given = {
  philosophy: effectsMethod(STANDARDS.british),
  section: designation().describe('designation of the catalogue'),
  grade: designation().describe('steel grade, EN 10025 or EN 10210'),
  combination: text(80).default('typed').describe('name of the combination'),
};

export const britishSteelBeam = defineTool({
  id: 'british.steel.segment',
  title: 'Segment of a rolled steel beam (BS 5950-1:2000, older British practice)',
  summary: 'Shear, bending beside it, lateral-torsional buckling of a rolled I or H under effects factored by BS 5950-1 (1.4 and 1.6).',
  input: z.strictObject({
    ...given,
    moment: quantity('moment', 'largest moment'),
    shear: quantity('force', 'largest shear'),
    effectiveLength: quantity('length', 'effective length for lateral-torsional buckling, tables 13 and 14; 0: held along its length', {
      min: 0,
    }),
    quarters: z
      .tuple([quantity('moment', 'at a quarter'), quantity('moment', 'at the middle'), quantity('moment', 'at three quarters')])
      .optional()
      .describe('moments along the segment; left out: constant, which is conservative'),
    destabilising: z.boolean().default(false).describe('load moves with the top flange: m_LT is 1'),
  }),
  example: {
    section: 'UB 457x191x67',
    grade: 'S275',
    philosophy: 'BS5950',
    moment: '210 kNm',
    shear: '140 kN',
    effectiveLength: '4 m',
    quarters: ['160 kNm', '210 kNm', '160 kNm'],
  },
  run: ({ section, grade, quarters, philosophy: _, ...input }, sheet) => {
    requireLargest(input.moment, quarters);
    return {
      result: {},
      checks: britishBeam(
        {
          ...input,
          section: findSection(section),
          grade: steelGrade(grade),
          quarters: quarters ?? [input.moment, input.moment, input.moment],
        },
        sheet,
      ),
    };
  },
});

export const britishSteelStrut = defineTool({
  id: 'british.steel.strut',
  title: 'Steel strut (BS 5950-1:2000, older British practice)',
  summary: 'Compression resistance about both axes of rolled I and H and hot-finished hollow sections under a factored force.',
  input: z.strictObject({
    ...given,
    axial: quantity('force', 'compression', { above: 0 }),
    lengthX: quantity('length', 'effective length, major axis', { above: 0 }),
    lengthY: quantity('length', 'effective length, minor axis', { above: 0 }),
  }),
  example: { section: 'UC 203x203x46', grade: 'S275', philosophy: 'BS5950', axial: '600 kN', lengthX: '4 m', lengthY: '4 m' },
  run: ({ section, grade, philosophy: _, ...input }, sheet) => ({
    result: {},
    checks: britishStrut({ ...input, section: findSection(section), grade: steelGrade(grade) }, sheet),
  }),
});

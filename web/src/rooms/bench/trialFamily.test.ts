import { expect, it, vi } from 'vitest';
import { findSection, gradesFor, profileOf, runTool, findTool, STANDARDS, typedBeam, type Family } from '@plinth/core';
import { BEAM_STARTS } from './beamStarts';
import { METHODS } from './methods';

// as in the core: a family is added by a line in each of two lists
vi.mock('../../../../core/src/family/list', async (original) => {
  const { PROFILES } = await original<{ PROFILES: object }>();
  const { TRIAL_PROFILE } = await import('../../../../core/src/standard/trialFamily.test.data');
  return { PROFILES: { ...PROFILES, trial: TRIAL_PROFILE } };
});
vi.mock('../../../../core/src/standard/list', async (original) => {
  const { STANDARDS } = await original<{ STANDARDS: object }>();
  const { TRIAL_ANNEX } = await import('../../../../core/src/standard/trialFamily.test.data');
  const { createEuropean } = await import('../../../../core/src/standard/european');
  return { STANDARDS: { ...STANDARDS, trial: createEuropean('trial' as Family, TRIAL_ANNEX) } };
});

const TRIAL = 'trial' as Family;

it('the Bench begins with shapes, a grade, a rule and units of a family that it was never told of', () => {
  const start = BEAM_STARTS[TRIAL];
  expect(start).toMatchObject({ family: 'trial', section: 'IPE 400', grade: 'S235', philosophy: '6.10', length: 12_500 });
  expect(METHODS.map(({ value }) => value)).toContain('trial 6.10ab');
  expect(gradesFor(profileOf(TRIAL).materials, findSection(start.section).product).map(({ id }) => id)).toContain(start.grade);
  expect(STANDARDS[TRIAL].title).toBe('Trial code');
  expect(runTool(findTool('trial.steel.beam'), findTool('trial.steel.beam').example).checks.length).toBeGreaterThan(2);
  expect(typedBeam(start).designs.members()[0]!.results.length).toBeGreaterThan(0);
});

import { z } from 'zod';
import { BEAM_INPUTS, fieldsOf } from '../../input';
import { quantity } from '../../quantity';
import { beamConnectionSchema, held } from './connection';
import { BEARERS, locked, mark, measured, note, onLevel, pointSchema, reduction, status, supportsFound } from './common';
import { madeOf } from './material';
import { refersTo, text } from '../../schema';

const stripSchema = z.strictObject({
  buildUp: refersTo(['buildUp'], 'build-up that the strip carries'),
  from: quantity('length', 'start from the beam end', { min: 0 }),
  to: quantity('length', 'end from the beam end', { min: 0 }),
  widthStart: quantity('length', 'tributary width at the start', { min: 0 }),
  widthEnd: quantity('length', 'tributary width at the end', { min: 0 }),
  exactStart: quantity('length', 'exact width at the start', { min: 0 }).nullable().default(null).describe('null: the width is exact'),
  exactEnd: quantity('length', 'exact width at the end', { min: 0 }).nullable().default(null).describe('null: the width is exact'),
  pitch: quantity('angle', 'pitch of the plane; layers act per area of slope', { min: 0, max: 1.4 }).default(0),
  label: text(60).default('').describe('what the strip is'),
});

const beamSupportSchema = z.strictObject({
  at: quantity('length', 'from the start of the beam', { min: 0 }),
  by: refersTo([...BEARERS, 'hanger'], 'the member that it rests on, or hangs from').nullable(),
  ...held,
});

const stretchSchema = z.strictObject({
  from: quantity('length', 'start, from the start of the beam', { min: 0 }),
  to: quantity('length', 'end, from the start of the beam', { min: 0 }),
  factor: z.number().min(0.05).max(100).describe('its stiffness EI as a multiple of that of the section'),
});

/** A strip with nothing but what is typed. */
export const newStrip = (typed: z.input<typeof stripSchema>) => stripSchema.parse(typed);
/** A support on which nothing is known but its place. */
export const newSupport = (at: number) => beamSupportSchema.parse({ at, by: null });

/** What a member has that is taken down as a beam: where it lies, what it rests on, what it carries. */
const spanning = {
  mark,
  level: onLevel('level of the beam'),
  from: pointSchema,
  to: pointSchema,
  ownWeight: quantity('lineLoad', 'own weight; of steel an allowance while no section is chosen', { min: 0 }),
  supportsFound,
  supports: z
    .array(beamSupportSchema)
    .max(60)
    .describe('where it rests, on what, and how that holds it; only of a beam whose supports are named'),
  connections: z
    .array(beamConnectionSchema)
    .max(60)
    .default([])
    .describe('what is said of its connections, each under what it joins; how it is held is said here only where its supports are found'),
  hinges: z
    .array(quantity('length', 'from the start of the beam', { min: 0 }))
    .max(40)
    .default([]),
  stretches: z
    .array(stretchSchema)
    .max(20)
    .default([])
    .describe(
      'stretches that are stiffer, or less stiff, than the section: plates, notches; forces and deflections follow, its checks are of the section',
    ),
  strips: z.array(stripSchema).max(200).default([]).describe('tributary strips of floor or roof'),
  transfer: z
    .enum(['auto', 'yes', 'no'])
    .default('auto')
    .describe('a transfer beam, with its stricter deflection limit: as the brief says of what it carries; yes; no'),
  measured,
  reduction,
  status,
  note,
};

export const beamSchema = madeOf({
  ...spanning,
  restraint: z
    .enum(['supports', 'floor', 'points'])
    .default('supports')
    .describe('what holds the compression flange: only the supports; the floor along the top flange; points at the positions given'),
  restraintPoints: z
    .array(quantity('length', 'from the start of the beam', { min: 0 }))
    .max(200)
    .default([])
    .describe('places where both flanges are held sideways'),
  topPoints: z
    .array(quantity('length', 'from the start of the beam', { min: 0 }))
    .max(200)
    .default([])
    .describe('places where only the top flange is held sideways'),
  bottomPoints: z
    .array(quantity('length', 'from the start of the beam', { min: 0 }))
    .max(200)
    .default([])
    .describe('places where only the bottom flange is held sideways; also beside a floor on the top flange'),
  loadHeight: z
    .enum(['centre', 'top'])
    .default('centre')
    .describe('centre: load acts at the shear centre, or is held in place; top: it stands on the top flange and can move with it'),
  ...fieldsOf(BEAM_INPUTS),
  stiffBearing: quantity('sectionLength', 'stiff length along the beam under each post that stands on it, such as its base plate', {
    min: 0,
  })
    .default(0)
    .describe('stiff length along the beam under each post that stands on it'),
  seat: quantity('sectionLength', 'stiff length on which it sits at each support; empty: it is connected through its web', { above: 0 })
    .nullable()
    .default(null)
    .describe('stiff length of its seats; null: connected through its web'),
  serves: z
    .enum(['floor', 'brittle', 'crane'])
    .default('floor')
    .describe('what its deflection must spare: a floor or roof; brittle finishes; a crane runway'),
  precamber: quantity('sectionLength', 'upward curve that it is made with, at the middle of its span', { min: 0 })
    .default(0)
    .describe('upward curve that it is made with, at the middle of its span'),
  locked,
});

/** A truss: taken down as a simple beam. Its chords and branches are not described here. */
export const trussSchema = z.strictObject(spanning);

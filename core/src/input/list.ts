import { flag, type AskedOf } from './declared';

/** What limit states of steel beams ask beside section, grade and what acts. */
export const BEAM_INPUTS = {
  untwisted: flag({
    title: 'channel held against twisting',
    says: 'of a channel: true where it is loaded through its shear centre, or held against twisting by what it carries',
    outlines: ['channel'],
    assumption: {
      text: 'The channel is loaded through its shear centre, or held against twisting by what it carries.',
      reason: 'A channel that is loaded through its web twists; torsion of open shapes is not calculated.',
    },
  }),
};

/** What limit states of pads ask beside their sizes, materials and load. */
export const PAD_INPUTS = {};

export type AskedOfBeam = AskedOf<typeof BEAM_INPUTS>;
export type AskedOfPad = AskedOf<typeof PAD_INPUTS>;

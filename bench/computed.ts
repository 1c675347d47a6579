/** The figures of pure computation: bundled before they run, as the worker's code is. */
export { beamSolve, projectCompute } from './core';
export { steelCheck, steelRationalise, steelSizing } from './steel';
export { takedownCold, takedownEdit, takedownFull, takedownGrowth, takedownLayer, takedownMemory } from './takedown';

export * from './steel';
export * from './concrete';

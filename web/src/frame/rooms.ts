/** The rooms that work, in working order. */
export const ROOMS = [
  { path: 'brief', name: 'Brief' },
  { path: 'survey', name: 'Survey' },
  { path: 'descent', name: 'Descent' },
  { path: 'members', name: 'Members' },
  { path: 'ground', name: 'Ground' },
  { path: 'package', name: 'Package' },
] as const;

/** The sections in the order of the work, with the digit that goes there after a dot. */
export const SECTIONS = [
  { path: '/map', name: 'Map', digit: '1' },
  { path: '/chains', name: 'Chains', digit: '2' },
  { path: '/ranks', name: 'Ranks', digit: '3' },
  { path: '/term', name: 'Term', digit: '4' },
  { path: '/mat', name: 'Mat', digit: '5' },
  { path: '/people', name: 'People', digit: '6' },
  { path: '/rounds', name: 'Rounds', digit: '8' },
  { path: '/house', name: 'House', digit: '0' },
];

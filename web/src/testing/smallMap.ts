import { indexMap } from '../api/map';
import type { Link, Reaction, Technique } from '../api/types';
import { blankLink, blankPair, blankReaction, blankTechnique } from '../form/blanks';

const pair = (id: string, name: string) => ({
  ...blankPair('LEGS_BETWEEN'),
  id,
  first: { ...blankPair('LEGS_BETWEEN').first, id, name },
  second: null,
});
const technique = (id: string, name: string): Technique => ({ ...blankTechnique(), id, name });
const link = (id: string, from: string, done: string, to: string, when: string | null = null): Link => ({
  ...blankLink(from, when),
  id,
  technique: done,
  to,
});
const reaction = (id: string, to: string, text: string, leaves: string): Reaction => ({
  ...blankReaction({ link: to }),
  id,
  text,
  leaves,
});

/** Guard –sweep→ mount –lock→ tap; stopped at the sweep by a post, guard –lift→ mount answers. */
export const smallMap = indexMap({
  pairs: [pair('guard', 'Guard'), pair('mount', 'Mount')],
  techniques: [
    technique('sweep', 'Hip-bump sweep'),
    technique('lift', 'Scissor sweep'),
    technique('lock', 'Bent arm lock'),
  ],
  links: [
    link('l-sweep', 'guard', 'sweep', 'mount'),
    link('l-lift', 'guard', 'lift', 'mount', 'r-post'),
    link('l-lock', 'mount', 'lock', 'TAP'),
  ],
  reactions: [reaction('r-post', 'l-sweep', 'they post the far hand', 'guard')],
  rulesets: [],
});

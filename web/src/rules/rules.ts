import type { Ruleset } from '../api/types';

/** Rules that forbid nothing and pay nothing yet. */
export const blankRules = (): Ruleset => ({
  id: '',
  name: '',
  jacket: 'EITHER',
  illegalTechniques: [],
  illegalHazards: [],
  entries: [],
  points: [],
  fullThrowEnds: false,
  fullThrowPoints: 0,
  pins: [],
  penalties: [],
  minutes: 5,
  note: null,
  noLegGrabs: false,
  halfThrowPoints: 0,
  reached: [],
  landings: null,
});

/** Rules made from others: all of it, under a name of its own. */
export const likeRules = (rules: Ruleset): Ruleset => ({ ...rules, id: '', name: `${rules.name}, ours` });

/** How a danger stands under rules. */
export const limitOf = (rules: Ruleset, hazard: string): 'LEGAL' | 'NEVER' | number => {
  const limit = rules.illegalHazards.find((one) => one.hazard === hazard);
  return !limit ? 'LEGAL' : limit.belowAge === 0 ? 'NEVER' : limit.belowAge;
};

/** The rules with a danger legal, never legal, or legal from an age on. */
export function limited(rules: Ruleset, hazard: string, limit: 'LEGAL' | 'NEVER' | number): Ruleset {
  const others = rules.illegalHazards.filter((one) => one.hazard !== hazard);
  if (limit === 'LEGAL') return { ...rules, illegalHazards: others };
  const one = { hazard, belowAge: limit === 'NEVER' ? 0 : limit } as Ruleset['illegalHazards'][number];
  return { ...rules, illegalHazards: [...others, one] };
}

/** What is to be put right before it is sent. */
export function wrongRules(rules: Ruleset): Record<string, string> {
  const wrong: Record<string, string> = {};
  if (!rules.name.trim()) wrong.name = 'What are they called?';
  if (rules.minutes < 1 || rules.minutes > 60) wrong.minutes = 'From 1 to 60 minutes.';
  rules.points.forEach((row, n) => {
    if (row.points < 1) wrong[`points.${n}.points`] = 'How many points?';
  });
  rules.reached.forEach((row, n) => {
    if (row.positions.length === 0) wrong[`reached.${n}.positions`] = 'Which positions?';
  });
  rules.pins.forEach((row, n) => {
    if (!row.position) wrong[`pins.${n}.position`] = 'Which hold?';
    if (row.seconds < 1) wrong[`pins.${n}.seconds`] = 'For how long?';
  });
  return wrong;
}

import type { Link, Pair, Position, Reaction, Stage, Technique } from '../api/types';

export const blankPosition = (id: string, name: string, control: number): Position => ({
  id,
  name,
  aliases: [],
  control,
  controlIn: {},
  jacket: 'EITHER',
  pin: false,
  summary: '',
  details: [],
  cautions: [],
  fewWaysBecause: null,
  retired: false,
});

export const blankPair = (stage: Stage): Pair => ({
  id: '',
  stage,
  first: blankPosition('', '', 0.5),
  second: blankPosition('', '', -0.5),
});

export const blankLink = (from: string, when: string | null): Link => ({
  id: '',
  from,
  technique: '',
  version: null,
  when,
  needs: [],
  meantFor: [],
  to: '',
  partial: null,
  ifStopped: null,
  note: null,
  retired: false,
});

export const blankReaction = (at: { link?: string; position?: string }): Reaction => ({
  id: '',
  link: at.link ?? null,
  position: at.position ?? null,
  text: '',
  phase: 'ENTRY',
  manner: 'OTHER',
  leaves: '',
  attack: null,
  fault: null,
  retired: false,
});

export const blankTechnique = (): Technique => ({
  id: '',
  name: '',
  aliases: [],
  family: 'PASS',
  group: null,
  jacket: 'EITHER',
  sided: true,
  directions: [],
  summary: '',
  steps: [],
  signs: [],
  faults: [],
  versions: [],
  houseVersion: null,
  prerequisites: [],
  receiverFalls: [],
  carriesOverTo: [],
  hazards: [],
  soloForm: null,
  tags: [],
  learn: 2,
  master: 3,
  retired: false,
});

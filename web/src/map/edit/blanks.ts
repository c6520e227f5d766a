import type { Link, Pair, Position, Reaction, Stage, Technique } from '../../api/types';

const nothing = null as unknown as string;

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
  fewWaysBecause: nothing,
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
  version: nothing,
  when: when ?? nothing,
  needs: [],
  meantFor: [],
  to: '',
  partial: nothing,
  ifStopped: nothing,
  note: nothing,
  retired: false,
});

export const blankReaction = (at: { link?: string; position?: string }): Reaction => ({
  id: '',
  link: at.link ?? nothing,
  position: at.position ?? nothing,
  text: '',
  phase: 'ENTRY',
  manner: 'OTHER',
  leaves: '',
  attack: nothing,
  fault: nothing,
  retired: false,
});

export const blankTechnique = (): Technique => ({
  id: '',
  name: '',
  aliases: [],
  family: 'PASS',
  group: null as unknown as Technique['group'],
  jacket: 'EITHER',
  sided: true,
  directions: [],
  summary: '',
  steps: [],
  signs: [],
  faults: [],
  versions: [],
  houseVersion: nothing,
  prerequisites: [],
  receiverFalls: [],
  carriesOverTo: [],
  hazards: [],
  soloForm: nothing,
  tags: [],
  learn: 2,
  master: 3,
  retired: false,
});

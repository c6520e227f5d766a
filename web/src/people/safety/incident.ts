import type { Incident } from '../../api/types';

export const KINDS: Record<Incident['kind'], string> = {
  INJURY: 'Injury',
  COLLISION: 'Collision',
  HEAD_KNOCK: 'Head knock',
};

export const PARTS: Record<NonNullable<Incident['part']>, string> = {
  HEAD: 'Head',
  NECK: 'Neck',
  SHOULDER: 'Shoulder',
  ELBOW: 'Elbow',
  HAND: 'Hand, wrist',
  RIBS: 'Ribs, chest',
  BACK: 'Back',
  HIP: 'Hip, groin',
  KNEE: 'Knee',
  FOOT: 'Foot, ankle',
};

export const OUTCOMES: Record<NonNullable<Incident['outcome']>, string> = {
  WENT_ON: 'Went on',
  SAT_OUT: 'Sat out',
  WENT_HOME: 'Went home, fetched or by themselves',
  TO_DOCTOR: 'To a doctor',
  EMERGENCY: 'Emergency services were called',
};

/** "Injury, shoulder" */
export const titleOf = (incident: Incident) =>
  incident.part ? `${KINDS[incident.kind]}, ${PARTS[incident.part].toLowerCase()}` : KINDS[incident.kind];

/** What the insurer's sheet still wants, in the words of its fields. */
export const lacks = (incident: Incident) => [
  ...(incident.what ? [] : ['how it happened']),
  ...(incident.part ? [] : ['where it hurts']),
  ...(incident.done ? [] : ['what was done']),
  ...(incident.outcome ? [] : ['how they went on']),
];

import type { Technique } from '../../api/types';

/** The eight points, front first, going round to the right. */
export const DIRECTIONS = [
  'FRONT',
  'FRONT_RIGHT',
  'RIGHT',
  'BACK_RIGHT',
  'BACK',
  'BACK_LEFT',
  'LEFT',
  'FRONT_LEFT',
] as const satisfies readonly Technique['directions'][number][];

/** The groups of the families that have some. */
export const GROUPS: Partial<Record<Technique['family'], readonly NonNullable<Technique['group']>[]>> = {
  THROW: ['HAND', 'HIP', 'FOOT_AND_LEG', 'REAR_SACRIFICE', 'SIDE_SACRIFICE'],
  SUBMISSION: ['CHOKE', 'ARM_LOCK', 'SHOULDER_LOCK', 'LEG_LOCK'],
};

export const HAZARDS = [
  'REAR_SIT',
  'KNEE_SIDE_FALL',
  'ARM_STANDING_FALL',
  'NECK_CRANK',
  'FRONT_CHOKE',
  'CHOKE',
  'ARM_LOCK',
  'SHOULDER_LOCK',
  'LEG_LOCK',
  'TWISTING_LEG_LOCK',
  'LIFTED',
  'BELT_THUMB',
  'PRESSURE_POINT',
  'LIFT_LEGS',
] as const satisfies readonly Technique['hazards'][number][];

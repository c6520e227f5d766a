import { today } from '../api/today';
import type { Family, Stage } from '../api/types';

const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const weekdays = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric' });
const dayAndYear = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
});

/** "Tue 14 Apr"; with the year where it is another one. */
export function date(iso: string): string {
  const when = new Date(`${iso.slice(0, 10)}T12:00:00`);
  const format = when.getFullYear() === new Date().getFullYear() ? day : dayAndYear;
  return format.format(when).replace(',', '');
}

/** "18:30" */
export const time = (iso: string) => iso.slice(0, 5);

/** "Tue 14 Apr, 18:30", where this device is. */
export function moment(iso: string): string {
  const when = new Date(iso);
  const clock = when.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  return `${day.format(when).replace(',', '')}, ${clock}`;
}

/** "67 %"; what is hardly ever is "under 1 %", not nothing. */
export const percent = (share: number) =>
  share > 0 && share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`;

/** "+1.4", "−0.3", "0": to one decimal. */
export const points = (n: number) => signed(Math.round(n * 10) / 10);

/** "+0.6", "−2", "0" */
export const signed = (n: number) => (n === 0 ? '0' : `${n > 0 ? '+' : '−'}${Math.abs(n)}`);

export const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** The day so many days before; after it with less than 0. */
export function daysBefore(iso: string, days: number): string {
  const when = new Date(`${iso.slice(0, 10)}T12:00:00`);
  when.setDate(when.getDate() - days);
  return today(when);
}

/** The day so many days after another, both as `2026-11-24`. */
export const daysAfter = (iso: string, days: number) => daysBefore(iso, -days);

/** The later of two days. */
export const laterOf = (a: string, b: string) => [a, b].sort()[1];

/** The Monday of the week in which a day lies. */
export function mondayOf(iso: string): string {
  const when = new Date(`${iso.slice(0, 10)}T12:00:00`);
  return daysBefore(iso, (when.getDay() + 6) % 7);
}

/** "Tuesday 1" */
export const weekday = (iso: string) => weekdays.format(new Date(`${iso.slice(0, 10)}T12:00:00`));

/** Whether something with a first and a last day holds today; without a last day it holds until it is lifted. */
export const isNow = (from: string, until: string | null | undefined, on = new Date()) => {
  const now = today(on);
  return from <= now && (!until || now <= until);
};

/** "DILIGENT_WORD" → "Diligent word" */
export const plain = (code: string) => (code.charAt(0) + code.slice(1).toLowerCase()).replaceAll('_', ' ');

export const STAGES: Stage[] = ['APART', 'GRIPPED', 'HALF_DOWN', 'LEGS_BETWEEN', 'LEGS_CLEARED', 'FINISH'];

export const FAMILIES: Family[] = [
  'BREAKFALL',
  'MOVEMENT',
  'GRIP',
  'THROW',
  'TAKEDOWN',
  'TURNOVER',
  'PASS',
  'SWEEP',
  'ESCAPE',
  'PIN',
  'TRANSITION',
  'SUBMISSION',
];

type Figure = { label: string; have: string; need: string };

/** What a condition for the next rank is called. */
export const conditionLabel = ({ label }: Pick<Figure, 'label'>) =>
  label === 'No hold' ? 'Not held back' : label;

/** How far it is met: "205 (96 needed)", "paid until Thu 9 Sept 2027"; nothing where the label says it all. */
export function figureInWords({ label, have, need }: Figure): string {
  if (!need || need === 'none') return '';
  if (need === 'valid') return `paid until ${date(have)}`;
  if (need === 'seen') return have.startsWith('seen ') ? `seen ${date(have.slice(5))}` : '';
  if (need.endsWith(' weeks')) return `${have} (${need.replace(' weeks', '')} needed)`;
  return label.startsWith('Classes since ') ? `${have} (${need} needed)` : `${have} of ${need}`;
}

export const VERDICT = {
  NOT_YET: 'Not yet',
  ON_TRACK: 'On track',
  ELIGIBLE: 'Eligible',
  CANDIDATE: 'Put forward',
  HELD: 'Held',
} as const;
